<?php

namespace App\Shows;

use App\Models\PictureRow;
use App\Models\Show;
use App\Models\SourceRow;
use Rhetorix\Core\Picture\PlanBook;

/** From the rows of a show to its plan book. */
final class ShowBook
{
    public function of(Show $show): PlanBook
    {
        return PlanBook::of(
            $show->canvas(),
            $show->name,
            array_values($show->sources()->get()->map(fn (SourceRow $row) => $row->toSource())->all()),
            array_values($show->pictures()->with('fills')->get()->map(fn (PictureRow $row) => $row->toPicture())->all()),
        );
    }

    /**
     * The book as pages get it: with what the picture host needs to open the
     * sources, which the core has no use for.
     *
     * @return array<string, mixed>
     */
    public function page(Show $show): array
    {
        $page = $this->of($show)->toArray();
        foreach ($show->sources()->get() as $row) {
            $page['sources'][$row->id] += ['settings' => (object) $row->settings, 'width' => $row->width, 'height' => $row->height];
        }
        $page['sources'] = (object) $page['sources'];

        return $page;
    }
}
