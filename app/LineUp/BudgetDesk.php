<?php

namespace App\LineUp;

use App\Models\Show;
use App\Models\SourceRow;
use Rhetorix\Core\Budget\Computer;
use Rhetorix\Core\Budget\Feed;
use Rhetorix\Core\Budget\Forecast;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Rig\Live\Handlings;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Support\Fields;

/** What the computer that holds the devices can hold, and what the rig of a show will cost it. */
final class BudgetDesk
{
    /** Kinds whose frames come in a camera's own format. */
    private const CODED = [SourceKind::Camera, SourceKind::Screen, SourceKind::Phone, SourceKind::Clip, SourceKind::NetworkCamera];

    private const USUAL_RATE = 30;

    /** What was measured now, with these sources running. The show's own work is what is left of it. */
    public function measured(Show $show, Fields $fields): void
    {
        $busy = $fields->number('busy', 0, 1);
        $work = Computer::fromFields(Fields::of([...$fields->all(), 'pass' => 0]));
        $feeds = new Forecast($work, $this->feeds($show), 0);
        $pass = max(0.5, 1000 * ($busy - $feeds->busy()) / $show->frame_rate);
        $show->computer = (new Computer($work->copy, $work->each, $pass, $work->look))->toArray();
        $show->save();
    }

    public function forecast(Show $show): ?Forecast
    {
        return $show->computer === null ? null : new Forecast(Computer::fromFields(Fields::of($show->computer)), $this->feeds($show), (float) $show->frame_rate);
    }

    /** @return list<Feed> */
    public function feeds(Show $show): array
    {
        $handlings = $show->desk->toDesk()->handlings;

        return array_values(array_filter($show->sources()->get()->map(fn (SourceRow $row): ?Feed => $this->feed($row, $handlings))->all()));
    }

    private function feed(SourceRow $row, Handlings $handlings): ?Feed
    {
        $source = $row->toSource();
        if ($source->size === null || ! ($row->kind->isMoving() || in_array($row->kind, self::CODED, true))) {
            return null;
        }
        $wished = fn (string $name): ?int => is_int($row->settings[$name] ?? null) ? $row->settings[$name] : null;
        $size = $wished('width') !== null && $wished('height') !== null ? new Size($wished('width'), $wished('height')) : $source->size;

        return new Feed(
            $row->id,
            $row->name,
            $size,
            (float) ($wished('rate') ?? self::USUAL_RATE),
            in_array($row->kind, self::CODED, true),
            $handlings->of($row->id)->look() !== null,
            $row->kind === SourceKind::Camera,
        );
    }
}
