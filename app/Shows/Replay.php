<?php

namespace App\Shows;

use App\Models\AsRunEntry;
use App\Models\Show;
use Rhetorix\Core\Switching\Command\Action;
use Rhetorix\Core\Switching\Command\CommandReader;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Time\Instant;

/** Builds the desk of a show again from its as-run list. */
final class Replay
{
    public function of(Show $show): Desk
    {
        $reader = new CommandReader($show->canvas()->rate);
        $desk = Desk::empty();
        foreach ($show->asRun()->lazy() as $entry) {
            $at = new Instant($entry->at_ms);
            $desk = $desk->settled($at)->desk;
            foreach ($this->commands($entry, $reader) as $command) {
                $desk = $desk->apply($command, $at)->desk;
            }
        }

        return $desk;
    }

    /** @return list<\Rhetorix\Core\Switching\Command\Command> */
    private function commands(AsRunEntry $entry, CommandReader $reader): array
    {
        $data = $entry->desk_command ?? [];
        if (is_array($data['forget'] ?? null)) {
            return array_values(array_map(
                fn (mixed $picture): Press => new Press($entry->command_id, Action::Forget, is_string($picture) ? $picture : null),
                $data['forget'],
            ));
        }

        return $data === [] ? [] : [$reader->read($data)];
    }
}
