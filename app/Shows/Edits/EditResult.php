<?php

namespace App\Shows\Edits;

use Rhetorix\Core\Switching\Command\Action;
use Rhetorix\Core\Switching\Command\Command;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Command\Replace;
use Rhetorix\Core\Switching\Command\TurnPage;
use Rhetorix\Core\Switching\DeskEvent;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Switching\Transition\TransitionKind;
use Rhetorix\Core\Time\Instant;
use Rhetorix\Core\Time\Milliseconds;

/** What an edit did, and what follows from it for the desk. */
final readonly class EditResult
{
    /**
     * @param  string  $what  for the as-run list
     * @param  array<string, int>  $turns  decks that stay at a position: group => position
     * @param  bool  $bookChanged  whether pictures or sources are otherwise than before
     * @param  list<string>  $forgets  ids of pictures that are gone, so that the desk lets go of them
     * @param  array<string, string>  $replaces  pictures for which others stand now
     * @param  ?string  $arms  a picture that is next from now on
     * @param  ?Transition  $takes  how that picture is taken at once; null: it waits
     */
    public function __construct(
        public string $what,
        public string $subject,
        public ?string $detail = null,
        public array $forgets = [],
        public array $turns = [],
        public bool $bookChanged = true,
        public array $replaces = [],
        public ?string $arms = null,
        public ?Transition $takes = null,
    ) {
    }

    /**
     * What the edit means for the desk.
     *
     * @return list<Command>
     */
    public function deskCommands(string $id): array
    {
        return self::commandsAgain($id, $this->deskCommand() ?? []);
    }

    /** @return ?array{edit: true, ...<string, mixed>} for the as-run list; null when it means nothing */
    public function deskCommand(): ?array
    {
        $command = array_filter([
            'forget' => $this->forgets,
            'turn' => $this->turns,
            'replace' => $this->replaces,
            'arm' => $this->arms,
            'take' => $this->takes === null ? null : ['kind' => $this->takes->kind->value, 'duration_ms' => $this->takes->duration->count],
        ]);

        return $command === [] ? null : ['edit' => true, ...$command];
    }

    /**
     * From the as-run list to the same commands again.
     *
     * @param  array<mixed>  $data  made by deskCommand()
     * @return list<Command>
     */
    public static function commandsAgain(string $id, array $data): array
    {
        $commands = [];
        foreach (array_filter((array) ($data['forget'] ?? []), is_string(...)) as $picture) {
            $commands[] = new Press($id, Action::Forget, $picture);
        }
        foreach (array_filter((array) ($data['turn'] ?? []), is_int(...)) as $group => $position) {
            $commands[] = new TurnPage($id, (string) $group, $position);
        }
        foreach (array_filter((array) ($data['replace'] ?? []), is_string(...)) as $picture => $by) {
            $commands[] = new Replace($id, (string) $picture, $by);
        }
        $next = $data['arm'] ?? null;
        if (is_string($next)) {
            $take = $data['take'] ?? null;
            $commands[] = is_array($take)
                ? new Press($id, Action::Take, $next, new Transition(TransitionKind::from((string) $take['kind']), Milliseconds::of((int) $take['duration_ms'])))
                : new Press($id, Action::Arm, $next);
        }

        return $commands;
    }

    /** @return list<DeskEvent> */
    public function events(Instant $at): array
    {
        return [new DeskEvent($at, $this->what, $this->subject, $this->detail)];
    }
}
