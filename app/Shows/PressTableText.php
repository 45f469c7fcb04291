<?php

namespace App\Shows;

use Rhetorix\Core\Switching\Rules\PressTable;

/** The table of presses as a page of docs/. */
final class PressTableText
{
    public static function markdown(): string
    {
        $states = array_keys(PressTable::states());
        $lines = [
            '# What a press does in every state',
            '',
            'Made by the core (`php artisan rhetorix:presses`, from `core/Switching/Rules/PressTable.php`); a test holds this page to it, and `tests/Core/RulesTest.php` says the cells once more by hand.',
            '',
            'A is on program and B next to begin with, C is any other picture. The press comes half a second into a change of one second. “then” is how it ends when nothing else is pressed. Program never jumps except by a cut, a straight press or cover.',
        ];
        foreach (PressTable::cells() as $press => $cells) {
            array_push($lines, '', "## {$press}", '', '| state before | what follows |', '|---|---|');
            foreach ($states as $state) {
                $lines[] = "| {$state} | {$cells[$state]} |";
            }
        }

        return implode("\n", $lines)."\n";
    }
}
