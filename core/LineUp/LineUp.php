<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp;

use Rhetorix\Core\Budget\Forecast;
use Rhetorix\Core\LineUp\Health\Finding;
use Rhetorix\Core\LineUp\Health\Signal;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Time\Instant;

/** What is well and what is not before a show, the gravest first. */
final readonly class LineUp
{
    /** Program falls behind when fewer frames than this share come, or more than that share come late. */
    private const LEAST_RATE = 0.93;

    private const MOST_LATE = 0.02;

    /** Megabytes. Below the first there is little room left, below the second hardly any. Common practice: an hour of a talk is about 2 GB. */
    private const ROOM_LOOK = 5_000;

    private const ROOM_WRONG = 500;

    /**
     * @param  list<Source>  $sources
     * @param  array<string, Finding>  $findings  by source id
     * @param  list<string>  $muted  ids of sources whose strip is closed
     * @param  ?Forecast  $forecast  of what the rig costs the computer that holds the devices; null: it was not measured
     */
    public function __construct(private array $sources, private array $findings, private array $muted, private Instant $now, private ?Forecast $forecast = null)
    {
    }

    /**
     * @param  ?float  $rate  frames a second that the picture host painted; null: nobody holds the devices
     * @param  float  $wanted  frames a second of the show
     * @param  float  $late  share of late frames, 0 to 1
     * @param  int  $room  free megabytes where files are kept
     * @return list<Check>
     */
    public function checks(?float $rate, float $wanted, float $late, int $room): array
    {
        $checks = [
            $this->host($rate, $wanted, $late),
            $this->budget(),
            $this->microphones(),
            ...array_map($this->source(...), $this->sources),
            ...$this->decks(),
            $this->room($room),
        ];
        $gravity = [Verdict::Wrong->value => 0, Verdict::Look->value => 1, Verdict::Well->value => 2];
        usort($checks, fn (Check $a, Check $b): int => $gravity[$a->verdict->value] <=> $gravity[$b->verdict->value]);

        return $checks;
    }

    private function host(?float $rate, float $wanted, float $late): Check
    {
        if ($rate === null) {
            return Check::wrong('Picture host', 'no computer holds the devices', 'Open the desk on the computer with the cameras and press “Hold devices here”.');
        }
        $measured = sprintf('%.1f of %.0f frames a second, %.1f %% late', $rate, $wanted, 100 * $late);

        return $rate < self::LEAST_RATE * $wanted || $late > self::MOST_LATE
            ? Check::look('Program', $measured, 'Close other programs on the computer with the cameras, or choose smaller camera sizes.')
            : Check::well('Program', $measured);
    }

    private function budget(): Check
    {
        return match (true) {
            $this->forecast === null => Check::look('What the computer holds', 'not measured', 'Press “Measure” on the Rig page; it takes a few seconds.'),
            $this->forecast->holds() => Check::well('What the computer holds', $this->forecast->sentence()),
            default => Check::look('What the computer holds', $this->forecast->sentence(), 'The Rig page says which sizes to lower.'),
        };
    }

    private function microphones(): Check
    {
        $open = array_filter($this->sources, fn (Source $source): bool => $source->kind === SourceKind::Microphone && ! in_array($source->id, $this->muted, true));

        return $open === []
            ? Check::look('Microphone', 'none is open', 'Connect one on the Rig page, or open the strip of one that is muted.')
            : Check::well('Microphone', 'open: '.implode(', ', array_column($open, 'name')));
    }

    private function source(Source $source): Check
    {
        if ($source->kind === SourceKind::Guest) {
            return Check::look($source->name, 'a place, nobody is there yet', 'Nothing to do: the guest is let in later.', $source->id);
        }
        if ($source->kind === SourceKind::Phone && $source->size === null) {
            return Check::look($source->name, 'a place, nobody is there yet', 'Open its link on the phone or computer, or leave the place empty.', $source->id);
        }
        if (! $source->kind->isWatched()) {
            return Check::well($source->name, $source->size === null ? 'ready' : sprintf('ready, %d×%d', $source->size->width, $source->size->height), $source->id);
        }
        $finding = $this->findings[$source->id] ?? null;
        if ($finding === null) {
            return Check::look($source->name, 'not measured yet', 'Wait a moment; the picture host measures each source once a second.', $source->id);
        }
        $since = $this->since($finding);
        $size = $source->size === null ? '' : sprintf(', %d×%d', $source->size->width, $source->size->height);

        return match ($finding->signal) {
            Signal::Live => Check::well($source->name, "live {$since}{$size}", $source->id),
            Signal::Lost, Signal::Black, Signal::Frozen => Check::wrong($source->name, $this->words($finding, $since), $finding->signal->whatToDo(), $source->id),
            default => Check::look($source->name, $this->words($finding, $since), $finding->signal->whatToDo(), $source->id),
        };
    }

    private function words(Finding $finding, string $since): string
    {
        return "{$finding->signal->label()} {$since}".($finding->measured === null ? '' : ": {$finding->measured}");
    }

    private function since(Finding $finding): string
    {
        $seconds = max(0, intdiv($this->now->ms - $finding->since->ms, 1000));

        return 'for '.($seconds < 120 ? "{$seconds} s" : intdiv($seconds, 60).' min');
    }

    /** @return list<Check> linked decks that do not have as many pages as each other */
    private function decks(): array
    {
        $groups = [];
        foreach ($this->sources as $source) {
            if ($source->deck !== null) {
                $groups[$source->deck->group][$source->name] = $source->deck->pages;
            }
        }
        $checks = [];
        foreach ($groups as $pages) {
            if (count(array_unique($pages)) > 1) {
                $checks[] = Check::look(
                    implode(' and ', array_keys($pages)),
                    implode(' and ', array_map(fn (int $count): string => "{$count} pages", array_values($pages))),
                    'They are turned together; the shorter one stays on its last page. Look whether a page is missing.',
                );
            }
        }

        return $checks;
    }

    private function room(int $megabytes): Check
    {
        $measured = sprintf('%.1f GB free', $megabytes / 1000);

        return match (true) {
            $megabytes < self::ROOM_WRONG => Check::wrong('Room for files', $measured, 'Delete what is not needed on the disk of the server.'),
            $megabytes < self::ROOM_LOOK => Check::look('Room for files', $measured, 'Make room before a long recording.'),
            default => Check::well('Room for files', $measured),
        };
    }
}
