<?php

namespace App\Shows;

use App\Live\ShowChannel;
use App\Models\AsRunEntry;
use App\Models\DeskRow;
use App\Models\Show;
use App\Models\User;
use App\Shows\Edits\Edits;
use Illuminate\Support\Facades\DB;
use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;
use Rhetorix\Core\Switching\Command\Action;
use Rhetorix\Core\Switching\Command\Command;
use Rhetorix\Core\Switching\Command\CommandReader;
use Rhetorix\Core\Switching\Command\Handle;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Command\SetStrip;
use Rhetorix\Core\Switching\Command\TurnPage;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Time\Instant;

/**
 * The one way in which a show changes: lock its desk, drop what was seen
 * before, apply, remember, commit, and then tell everybody.
 */
final readonly class CommandPipeline
{
    public function __construct(
        private Edits $edits,
        private ShowBook $books,
        private ShowChannel $channel,
    ) {
    }

    /**
     * @param  array<mixed>  $data  the JSON of the command: {id, type, ...}
     * @return array<string, mixed> the update, as everybody else gets it
     *
     * @throws Refusal with a sentence for the person
     */
    public function run(Show $show, ?User $by, array $data): array
    {
        $fields = Fields::of($data);
        $id = $fields->string('id', 64);
        $type = $fields->string('type', 40);

        $this->mustNotDisturb($show, $by, $type);
        [$answer, $isNew] = DB::transaction(function () use ($show, $by, $data, $fields, $id, $type): array {
            $row = DeskRow::query()->lockForUpdate()->findOrFail($show->id);
            $seen = AsRunEntry::query()->where('show_id', $show->id)->where('command_id', $id)->first();
            if ($seen !== null) {
                return [$this->repeated($seen, $show), false];
            }
            $at = $row->notBefore($this->momentOf($fields));
            $change = $this->edits->knows($type)
                ? $this->edit($show, $row, $type, $fields, $at)
                : $this->live($show, $row, $data, $at);

            return [$this->store($show, $by, $row, $change, $data, $at), true];
        });

        if ($isNew) {
            $this->channel->tell($show, 'update', $answer);
        }

        return $answer;
    }

    /** While a lead has the desk alone, others look; what a computer says of its sources goes on. */
    private function mustNotDisturb(Show $show, ?User $by, string $type): void
    {
        $alone = $by === null || $type === 'source.measured' ? null : $show->aloneBy();
        if ($alone !== null && $alone->isNot($by)) {
            throw new Refusal("{$alone->name} has the desk alone until {$show->alone_until?->format('H:i')}. Ask, or wait until then.");
        }
    }

    /**
     * A press that waited for the server happened when it was made, not when it
     * arrived; nothing happens in the future.
     */
    private function momentOf(Fields $fields): Instant
    {
        $now = (int) now()->getTimestampMs();

        return new Instant($fields->has('at') ? min($now, $fields->integer('at', 0, PHP_INT_MAX)) : $now);
    }

    /** @param  array<mixed>  $data */
    private function live(Show $show, DeskRow $row, array $data, Instant $at): Change
    {
        $book = $this->books->at($show, $row->book_revision);
        if ($data['type'] === Action::Inset->value && ($data['source'] ?? null) === null) {
            $data['source'] = $book->insetSource($row->toDesk()->insetSource());
        }
        $command = (new CommandReader($show->canvas()->rate, $show->canvas()->size))->read($data);
        $this->mustExist($command, $book);
        $outcome = $row->toDesk()->apply($command, $at);

        $book = $book->handled($outcome->desk->handlings);
        $pages = $command instanceof Handle && $command->reshapes() ? ['pages' => $book->pagesWith($command->source), 'sources' => $book->sourcePage($command->source), 'inset' => $book->insetPage($command->source)] : [];

        return new Change($outcome->desk, $book, $outcome->events, (array) $data, false, $pages);
    }

    private function edit(Show $show, DeskRow $row, string $type, Fields $fields, Instant $at): Change
    {
        $result = $this->edits->apply($type, $show, $fields, $row->revision + 1);
        $desk = $row->toDesk()->settled($at);
        $events = [...$desk->events, ...$result->events($at)];
        $desk = $desk->desk;
        foreach ($result->deskCommands($fields->string('id', 64)) as $command) {
            $outcome = $desk->apply($command, $at);
            [$desk, $events] = [$outcome->desk, [...$events, ...$outcome->events]];
        }
        if ($result->bookChanged) {
            $this->forgetRetired($show, $desk);
        }

        return new Change($desk, $this->books->of($show)->handled($desk->handlings), $events, $result->deskCommand(), $result->bookChanged);
    }

    /** Pictures as they were before a change, once they have left the desk. */
    private function forgetRetired(Show $show, Desk $desk): void
    {
        foreach ($show->allPictures()->where('retired', true)->get() as $picture) {
            if (! $desk->has($picture->id)) {
                $picture->delete();
            }
        }
    }

    /**
     * @param  array<mixed>  $data
     * @return array<string, mixed>
     */
    private function store(Show $show, ?User $by, DeskRow $row, Change $change, array $data, Instant $at): array
    {
        $fields = Fields::of($data);
        $command = ['id' => $fields->string('id'), 'type' => $fields->string('type'), 'by' => $by?->name];
        $row->revision++;
        $row->book_revision = $change->bookChanged ? $row->revision : $row->book_revision;
        $row->at_ms = $at->ms;
        $row->state = $change->desk->toArray();
        $row->save();

        $answer = Update::of($change->desk, $change->book, $row->revision, $at, $command);
        $answer += $change->pages;
        AsRunEntry::query()->create([
            'show_id' => $show->id,
            'revision' => $row->revision,
            'command_id' => $command['id'],
            'user_id' => $by?->id,
            'at_ms' => $at->ms,
            'type' => $command['type'],
            'command' => $data,
            'desk_command' => $change->deskCommand,
            'events' => array_map(fn ($event) => $event->toArray(), $change->events),
            'answer' => $answer,
        ]);

        return $change->bookChanged ? [...$answer, 'book' => $this->books->page($show, $change->book)] : $answer;
    }

    /** @return array<string, mixed> the same answer again, with the book as it is now for an edit */
    private function repeated(AsRunEntry $seen, Show $show): array
    {
        return $this->edits->knows($seen->type)
            ? [...(array) $seen->answer, 'book' => $this->books->page($show, $this->books->of($show)->handled($show->desk->toDesk()->handlings))]
            : (array) $seen->answer;
    }

    private function mustExist(Command $command, PlanBook $book): void
    {
        if ($command instanceof Press && $command->action === Action::Forget) {
            throw BadInput::notOneOf('type', ['picture.remove (to delete a picture)']);
        }
        if ($command instanceof Press && $command->picture !== null && ! $book->has($command->picture)) {
            throw new Refusal('This picture is not in the show any more. Choose another one.');
        }
        $inset = $command instanceof Press ? $command->more['source'] ?? null : null;
        if (is_string($inset) && ($book->sources()[$inset] ?? null)?->hasPicture() !== true) {
            throw new Refusal('This source has no picture in the show any more. Choose another one for the inset.');
        }
        if (($command instanceof SetStrip || $command instanceof Handle) && ! isset($book->sources()[$command->source])) {
            throw new Refusal('This source is not in the show any more.');
        }
        if ($command instanceof TurnPage) {
            $last = $book->linkedDecks($command->group)?->last() ?? throw new Refusal('This deck is not in the show any more.');
            if ($command->position > $last) {
                throw new Refusal("There is no page {$command->position}; the last one is {$last}.");
            }
        }
    }
}
