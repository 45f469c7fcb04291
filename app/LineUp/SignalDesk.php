<?php

namespace App\LineUp;

use App\Live\ShowChannel;
use App\Models\Show;
use App\Models\SignalWatch;
use App\Models\SourceRow;
use App\Shows\CommandPipeline;
use App\Shows\Edits\StepQuality;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Rhetorix\Core\Budget\Quality;
use Rhetorix\Core\Budget\StepDown;
use Rhetorix\Core\LineUp\Health\Expected;
use Rhetorix\Core\LineUp\Health\Finding;
use Rhetorix\Core\LineUp\Health\Sample;
use Rhetorix\Core\LineUp\Health\Watch;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Time\Instant;

/** Takes the picture host's samples, has the core judge them, and tells every screen what has changed. */
final readonly class SignalDesk
{
    public function __construct(private ShowChannel $channel, private CommandPipeline $pipeline)
    {
    }

    /**
     * @param  array<mixed>  $samples  by source id
     * @param  array<mixed>  $host  how the host itself does: frames a second, share of late ones
     * @return array{signals: array<string, array<string, mixed>>, quality: array<string, mixed>} what is found, by source id, and how much is asked of the host
     */
    public function take(Show $show, array $samples, array $host): array
    {
        $at = new Instant((int) now()->getTimestampMs());
        [$before, $after, $stepped, $steps] = DB::transaction(function () use ($show, $samples, $host, $at): array {
            DB::table('signal_watches')->where('show_id', $show->id)->lockForUpdate()->value('show_id');
            $row = SignalWatch::query()->find($show->id);
            // After a break nobody knows since when anything is so.
            $stepped = $row?->stepDown() ?? StepDown::begin();
            $late = is_numeric($host['late'] ?? null) ? max(0.0, min(1.0, (float) $host['late'])) : 0.0;
            $running = $host['running_ms'] ?? null;
            $steps = $stepped->after($late, $at, is_int($running) ? $running : PHP_INT_MAX);
            $watches = $row !== null && $row->isFresh() ? $row->toWatches() : [];
            $before = array_map($this->gist(...), $row?->findings() ?? []);
            $after = [];
            foreach ($show->sources()->get() as $source) {
                $watch = $watches[$source->id] ?? Watch::begin();
                $sample = $samples[$source->id] ?? null;
                $after[$source->id] = is_array($sample) ? $watch->after(Sample::fromFields(Fields::of($sample, 'samples')), $this->expected($source, Quality::at($stepped->level)['lines']), $at) : $watch;
            }
            SignalWatch::query()->updateOrCreate(['show_id' => $show->id], [
                'watches' => array_map(fn (Watch $watch): array => $watch->toArray(), $after),
                'host' => $host,
                'quality' => $steps->toArray(),
                'seen_at' => now(),
            ]);

            return [$before, array_filter(array_map(fn (Watch $watch): ?Finding => $watch->finding(), $after)), $stepped->level, $steps->level];
        });
        if ($steps !== $stepped) {
            $this->pipeline->run($show, null, ['id' => (string) Str::uuid(), 'type' => StepQuality::TYPE, 'level' => $steps, 'before' => $stepped]);
        }
        $said = array_map($this->say(...), $after);
        $quality = Quality::at($steps);
        if ($steps !== $stepped || $before != array_map($this->gist(...), $after)) {
            $this->channel->tell($show, 'signals', ['signals' => $said, 'quality' => $quality]);
        }

        return ['signals' => $said, 'quality' => $quality];
    }

    /** @return array<string, array<string, mixed>> by source id */
    public function findings(Show $show): array
    {
        return array_map($this->say(...), $show->signalWatch?->findings() ?? []);
    }

    /** @return array<string, mixed> what is given up at the moment */
    public function quality(Show $show): array
    {
        return Quality::at($show->signalWatch?->stepDown()->level ?? 0);
    }

    /** @param  ?int  $lines  most lines of a capture at the moment */
    private function expected(SourceRow $source, ?int $lines): Expected
    {
        $number = fn (string $name): ?int => is_int($source->settings[$name] ?? null) ? $source->settings[$name] : null;

        $lowered = $lines !== null && ($number('height') ?? 0) > $lines;

        return new Expected($source->kind->isMoving(), $source->kind !== SourceKind::Phone, $number('rate') ?? ($source->kind === SourceKind::Camera ? 30 : null), $lowered ? null : $number('width'), $lowered ? null : $number('height'));
    }

    /** @return array{string, int} what has to change before the screens are told again */
    private function gist(Finding $finding): array
    {
        return [$finding->signal->value, $finding->since->ms];
    }

    /** @return array<string, mixed> */
    private function say(Finding $finding): array
    {
        return [...$finding->toArray(), 'label' => $finding->signal->label(), 'todo' => $finding->signal->whatToDo()];
    }
}
