<?php

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Picture\Composer;
use Rhetorix\Core\Rig\Live\Framing;
use Rhetorix\Core\Rig\Live\Handling;
use Rhetorix\Core\Rig\Live\Handlings;
use Rhetorix\Core\Rig\Live\Magnify;
use Rhetorix\Core\Support\BadInput;

/**
 * What a person sees of a small picture of letters, turned cell by cell:
 * independent of the arithmetic on crops.
 *
 * @param  list<string>  $rows
 * @return list<string>
 */
function seenAs(array $rows, Orientation $orientation): array
{
    for ($i = 0; $i < $orientation->quarterTurns(); $i++) {
        $turned = [];
        for ($x = 0; $x < strlen($rows[0]); $x++) {
            $turned[] = strrev(implode('', array_map(fn (string $row): string => $row[$x], $rows)));
        }
        $rows = $turned;
    }

    return $orientation->isMirrored() ? array_map(strrev(...), $rows) : $rows;
}

const LETTERS = ['ABCD', 'EFGH', 'IJKL'];

it('finds the part of the source behind each cell that is seen', function (Orientation $orientation): void {
    $seen = seenAs(LETTERS, $orientation);
    [$columns, $rows] = [strlen($seen[0]), count($seen)];
    $size = $orientation->size(new Size(4, 3));
    expect([$size->width, $size->height])->toBe([(float) $columns, (float) $rows]);
    for ($y = 0; $y < $rows; $y++) {
        for ($x = 0; $x < $columns; $x++) {
            $crop = $orientation->toSource(new Crop($x / $columns, $y / $rows, 1 / $columns, 1 / $rows));
            $letter = LETTERS[(int) round($crop->y * 3)][(int) round($crop->x * 4)];
            expect($letter)->toBe($seen[$y][$x])
                ->and($crop->width)->toEqualWithDelta(1 / 4, 1e-9)
                ->and($crop->height)->toEqualWithDelta(1 / 3, 1e-9);
        }
    }
})->with(Orientation::cases());

it('turns, mirrors and flips what is seen, whatever was pressed before', function (Orientation $from): void {
    $seen = seenAs(LETTERS, $from);
    $right = seenAs($seen, Orientation::Right);
    expect(seenAs(LETTERS, $from->turnedRight()))->toBe($right)
        ->and(seenAs(LETTERS, $from->turnedLeft()))->toBe(seenAs($seen, Orientation::Left))
        ->and(seenAs(LETTERS, $from->mirrored()))->toBe(array_map(strrev(...), $seen))
        ->and(seenAs(LETTERS, $from->flipped()))->toBe(array_reverse($seen))
        ->and($from->turnedRight()->turnedLeft())->toBe($from)
        ->and(Orientation::table()[$from->value]['flip'])->toBe($from->flipped()->value);
})->with(Orientation::cases());

it('magnifies around a point and stops at the edges', function (array $magnify, array $window): void {
    expect(array_values((new Magnify(...$magnify))->window()->toArray()))->toEqualWithDelta($window, 1e-9);
})->with([
    'not at all' => [[0.2, 0.9, 1.0], [0, 0, 1, 1]],
    'twice in the middle' => [[0.5, 0.5, 2.0], [0.25, 0.25, 0.5, 0.5]],
    'at the left edge' => [[0.0, 0.5, 2.0], [0, 0.25, 0.5, 0.5]],
    'in the lower right corner' => [[1.0, 1.0, 4.0], [0.75, 0.75, 0.25, 0.25]],
]);

it('crops, then turns, then magnifies', function (): void {
    // A phone's upright picture with bars at its sides, lying on its side: 1920x1080 with 608 in the middle.
    $framing = new Framing(new Crop(0.341, 0, 0.318, 1), Orientation::Right, new Magnify(0, 0, 2));
    $size = $framing->size(new Size(1920, 1080));
    expect($size->width)->toEqualWithDelta(1080, 0.01)->and($size->height)->toEqualWithDelta(610.56, 0.01);
    // What is seen at the upper left after a turn to the right comes from the lower left of the crop.
    $crop = $framing->toSource(Crop::whole());
    expect($crop->x)->toEqualWithDelta(0.341, 1e-9)->and($crop->y)->toEqualWithDelta(0.5, 1e-9)
        ->and($crop->width)->toEqualWithDelta(0.159, 1e-9)->and($crop->height)->toEqualWithDelta(0.5, 1e-9);
});

it('lays out a turned source by the shape in which it is seen', function (): void {
    $handlings = Handlings::none()->with('camA', new Handling(new Framing(Crop::whole(), Orientation::Left, Magnify::none())));
    $plan = (new Composer(Canvas::usual(), ['camA' => camera('camA')], $handlings))->compose(picture('A', ['large' => 'camA']));
    $layer = $plan->layers[0];
    // 1280x720 on its side is upright: it is shown whole, 405 wide in the middle.
    expect($layer->dest->width)->toEqualWithDelta(405.0, 1e-9)->and($layer->dest->x)->toEqualWithDelta(437.5, 1e-9)
        ->and($layer->toArray()['turn'])->toBe(3)->and($layer->crop->isWhole())->toBeTrue();
});

it('names what is wrong with a framing', function (Closure $make): void {
    expect($make)->toThrow(BadInput::class);
})->with([
    'a point outside' => [fn () => new Magnify(1.2, 0.5, 2)],
    'smaller than it is' => [fn () => new Magnify(0.5, 0.5, 0.5)],
    'too close' => [fn () => new Magnify(0.5, 0.5, 9)],
    'not a number' => [fn () => new Magnify(NAN, 0.5, 2)],
]);
