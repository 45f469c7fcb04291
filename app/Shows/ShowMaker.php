<?php

namespace App\Shows;

use App\Models\DeskRow;
use App\Models\Show;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Rhetorix\Core\Switching\Desk;

/** Makes a new show: the holding card on program, and whoever made it is its lead. */
final class ShowMaker
{
    public function make(string $name, User $lead): Show
    {
        return DB::transaction(function () use ($name, $lead): Show {
            $show = Show::query()->create(['name' => $name]);
            $show->people()->attach($lead, ['role' => 'lead']);
            DeskRow::query()->create(['show_id' => $show->id, 'revision' => 0, 'at_ms' => 0, 'state' => Desk::empty()->toArray()]);

            return $show;
        });
    }
}
