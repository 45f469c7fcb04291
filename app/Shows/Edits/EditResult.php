<?php

namespace App\Shows\Edits;

use Rhetorix\Core\Switching\Command\Action;
use Rhetorix\Core\Switching\Command\Command;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Command\TurnPage;
use Rhetorix\Core\Switching\DeskEvent;
use Rhetorix\Core\Time\Instant;

/** What an edit did, and what follows from it for the desk. */
final readonly class EditResult
{
    /**
     * @param  string  $what  for the as-run list
     * @param  array<string, int>  $turns  decks that stay at a position: group => position
     * @param  bool  $bookChanged  whether pictures or sources are otherwise than before
     * @param  list<string>  $forgets  ids of pictures that are gone, so that the desk lets go of them
     */
    public function __construct(
        public string $what,
        public string $subject,
        public ?string $detail = null,
        public array $forgets = [],
        public array $turns = [],
        public bool $bookChanged = true,
    ) {
    }

    /**
     * What the edit means for the desk.
     *
     * @return list<Command>
     */
    public function deskCommands(string $id): array
    {
        return self::commands($id, $this->forgets, $this->turns);
    }

    /** @return ?array{forget: list<string>, turn: array<string, int>} for the as-run list; null when it means nothing */
    public function deskCommand(): ?array
    {
        return $this->forgets === [] && $this->turns === [] ? null : ['forget' => $this->forgets, 'turn' => $this->turns];
    }

    /**
     * From the as-run list to the same commands again.
     *
     * @param  array<mixed>  $data  made by deskCommand()
     * @return list<Command>
     */
    public static function commandsAgain(string $id, array $data): array
    {
        return self::commands(
            $id,
            array_values(array_filter((array) ($data['forget'] ?? []), is_string(...))),
            array_filter((array) ($data['turn'] ?? []), is_int(...)),
        );
    }

    /**
     * @param  list<string>  $forgets
     * @param  array<int>  $turns
     * @return list<Command>
     */
    private static function commands(string $id, array $forgets, array $turns): array
    {
        $commands = array_map(fn (string $picture): Command => new Press($id, Action::Forget, $picture), $forgets);
        foreach ($turns as $group => $position) {
            $commands[] = new TurnPage($id, (string) $group, $position);
        }

        return $commands;
    }

    /** @return list<DeskEvent> */
    public function events(Instant $at): array
    {
        return [new DeskEvent($at, $this->what, $this->subject, $this->detail)];
    }
}
