<?php

namespace App\Shows\Edits;

use App\Models\Show;
use App\Models\SourceRow;
use Illuminate\Support\Str;
use Rhetorix\Core\Picture\Picture;
use Rhetorix\Core\Picture\PictureFile;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** picture.bring {file}: the pictures of a file join those of the show. All of them, or none when one is wrong. */
final class BringPictures implements Edit
{
    public function __construct(private readonly MakePicture $maker)
    {
    }

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $sources = $show->sources()->get()->map(fn (SourceRow $row) => $row->toSource())->keyBy('id')->all();
        ['pictures' => $pictures, 'missing' => $missing] = PictureFile::read($fields->all()['file'] ?? null, $sources);
        if ($pictures === []) {
            throw new Refusal('There is no picture in this file.');
        }
        foreach ($pictures as $picture) {
            $this->maker->keep($show, new Picture((string) Str::uuid7(), $picture->name, $picture->group, $picture->layout, $picture->fills, $picture->key), $revision);
        }
        $count = count($pictures) === 1 ? "Brought the picture {$pictures[0]->name}" : 'Brought '.count($pictures).' pictures';

        return new EditResult('brought', $show->id, $missing === [] ? $count : "{$count}; these sources are not here, and their places are empty: ".implode(', ', $missing));
    }
}
