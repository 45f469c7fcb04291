<?php

namespace App\Shows;

use App\Models\AsRunEntry;
use App\Models\Show;
use App\Shows\Edits\EditResult;
use Rhetorix\Core\Switching\Command\CommandReader;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Time\Instant;

/** Builds the desk of a show again from its as-run list. */
final class Replay
{
    public function of(Show $show): Desk
    {
        $reader = new CommandReader($show->canvas()->rate, $show->canvas()->size);
        $desk = Desk::empty($show->canvas()->size);
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
        if (isset($data['edit']) || isset($data['forget']) || isset($data['turn'])) {
            return EditResult::commandsAgain($entry->command_id, $data);
        }

        return $data === [] ? [] : [$reader->read($data)];
    }
}
