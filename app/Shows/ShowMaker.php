<?php

namespace App\Shows;

use App\Models\DeskRow;
use App\Models\Show;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Rhetorix\Core\Picture\CanvasShape;
use Rhetorix\Core\Switching\Desk;

/** Makes a new show: the holding card on program, and whoever made it is its lead. */
final class ShowMaker
{
    public function make(string $name, User $lead, CanvasShape $shape = CanvasShape::Wide): Show
    {
        return DB::transaction(function () use ($name, $lead, $shape): Show {
            $size = $shape->size();
            $show = Show::query()->create(['name' => $name, 'canvas_width' => (int) $size->width, 'canvas_height' => (int) $size->height]);
            $show->people()->attach($lead, ['role' => 'lead']);
            DeskRow::query()->create(['show_id' => $show->id, 'revision' => 0, 'at_ms' => 0, 'state' => Desk::empty($size)->toArray()]);

            return $show;
        });
    }
}
