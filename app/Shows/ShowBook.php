<?php

namespace App\Shows;

use App\Models\PictureRow;
use App\Models\Show;
use App\Models\SourceRow;
use Illuminate\Contracts\Cache\Repository;
use Rhetorix\Core\Picture\PlanBook;

/** From the rows of a show to its plan book, kept from command to command until an edit changes it. */
final readonly class ShowBook
{
    private const KEPT_SECONDS = 3600;

    public function __construct(private Repository $kept)
    {
    }

    /** @param  int  $revision  of the last edit of the show's rig or pictures: DeskRow::$book_revision */
    public function at(Show $show, int $revision): PlanBook
    {
        $key = implode('.', ['book', config()->string('rhetorix.build'), $show->id, $revision]);
        $book = $this->kept->get($key);
        if (! $book instanceof PlanBook) {
            $book = $this->of($show);
            $this->kept->put($key, $book, self::KEPT_SECONDS);
        }

        return $book;
    }

    public function of(Show $show): PlanBook
    {
        return PlanBook::of(
            $show->canvas(),
            $show->name,
            array_values($show->sources()->get()->map(fn (SourceRow $row) => $row->toSource())->all()),
            array_values($show->allPictures()->with('fills')->get()->map(fn (PictureRow $row) => $row->toPicture())->all()),
        );
    }

    /**
     * The book as pages get it: with what the picture host needs to open the
     * sources, which the core has no use for.
     *
     * @return array<string, mixed>
     */
    public function page(Show $show, PlanBook $book): array
    {
        $page = $book->toArray();
        // One that was connected just now is not in this book yet: its update brings the next.
        foreach ($show->sources()->findMany(array_keys($page['sources'])) as $row) {
            $page['sources'][$row->id] += ['settings' => (object) $row->settings, 'width' => $row->width, 'height' => $row->height];
        }
        $page['sources'] = (object) $page['sources'];

        return $page;
    }
}
