<?php

// What is hidden, where something is, the holes of frame art, and the guide for the author of slides.

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\RoundedRect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Art\Bitmap;
use Rhetorix\Core\Layout\Art\HoleFinder;
use Rhetorix\Core\Layout\Cover\Area;
use Rhetorix\Core\Layout\Cover\Coverage;
use Rhetorix\Core\Layout\Cover\LeastHarm;
use Rhetorix\Core\Layout\Purpose;
use Rhetorix\Core\Layout\Shape;
use Rhetorix\Core\Layout\Style;
use Rhetorix\Core\Layout\Window;
use Rhetorix\Core\Picture\SlideGuide;
use Rhetorix\Core\Reading\Busyness;
use Rhetorix\Core\Reading\LumaImage;
use Rhetorix\Core\Support\Refusal;

function circle(float $x, float $y, float $radius): RoundedRect
{
    return new RoundedRect(new Rect($x - $radius, $y - $radius, 2 * $radius, 2 * $radius), $radius);
}

it('measures circles and their overlap as geometry does', function (): void {
    $canvas = new RoundedRect(new Rect(0, 0, 1280, 720));
    expect(Area::covered($canvas, [circle(600, 300, 120)]))->toEqualWithDelta(M_PI * 120 ** 2, 0.01)
        // a quarter of it is on the canvas
        ->and(Area::covered($canvas, [circle(0, 0, 120)]))->toEqualWithDelta(M_PI * 120 ** 2 / 4, 0.01);
    // two circles of radius r at distance d share 2r² arccos(d/2r) - d/2 √(4r² - d²)
    [$r, $d] = [100.0, 90.0];
    $lens = 2 * $r ** 2 * acos($d / (2 * $r)) - $d / 2 * sqrt(4 * $r ** 2 - $d ** 2);
    expect(Area::covered($canvas, [circle(400, 300, $r), circle(400 + $d, 300, $r)]))->toEqualWithDelta(2 * M_PI * $r ** 2 - $lens, 0.05);
});

it('counts overlapping windows once, as counting the pixels of a raster does', function (int $seed): void {
    mt_srand($seed);
    $shapes = array_map(function (): RoundedRect {
        $rect = new Rect(mt_rand(-60, 300), mt_rand(-60, 160), mt_rand(20, 200), mt_rand(20, 140));

        return new RoundedRect($rect, mt_rand(0, 1) * mt_rand(0, 100));
    }, range(1, mt_rand(2, 6)));
    $material = new RoundedRect(new Rect(10, 20, 280, 150), mt_rand(0, 40));
    $inside = function (RoundedRect $shape, float $x, float $y): bool {
        // the distance to the inner rectangle of the corners' centres, written down anew
        $dx = max($shape->rect->x + $shape->radius - $x, $x - $shape->rect->right() + $shape->radius, 0);
        $dy = max($shape->rect->y + $shape->radius - $y, $y - $shape->rect->bottom() + $shape->radius, 0);
        $isIn = $x >= $shape->rect->x && $x <= $shape->rect->right() && $y >= $shape->rect->y && $y <= $shape->rect->bottom();

        return $isIn && $dx * $dx + $dy * $dy <= $shape->radius ** 2 + 1e-9;
    };
    $pixels = 0;
    for ($y = 0; $y < 2 * 200; $y++) {
        for ($x = 0; $x < 2 * 320; $x++) {
            [$px, $py] = [($x + 0.5) / 2, ($y + 0.5) / 2];
            $pixels += $inside($material, $px, $py) && array_filter($shapes, fn (RoundedRect $shape): bool => $inside($shape, $px, $py)) !== [] ? 1 : 0;
        }
    }
    expect(Area::covered($material, $shapes) / ($pixels / 4))->toEqualWithDelta(1, 0.005);
})->with(range(1, 8));

/** @return list<Window> slides with a round inset at the lower right and a name bar at the lower left */
function hidingWindows(): array
{
    return [
        new Window('slides', new Rect(0, 0, 1280, 720), purpose: Purpose::Material),
        new Window('who', new Rect(980, 420, 240, 240), purpose: Purpose::Person, style: new Style(Shape::Circle)),
        new Window('bar', new Rect(64, 580, 600, 80), purpose: Purpose::Words),
    ];
}

it('says how much of the material is hidden, with and without words', function (): void {
    $windows = hidingWindows();
    $shown = ['slides' => new Rect(160, 0, 960, 720), 'who' => new Rect(980, 420, 240, 240)];
    $coverage = Coverage::of(new Size(1280, 720), $windows, $shown);
    // the slides are 4:3: the part of the circle left of x = 1120 lies over them
    $outside = 120 ** 2 * acos(20 / 120) - 20 * sqrt(120 ** 2 - 20 ** 2);
    expect($coverage?->hidden())->toEqualWithDelta((M_PI * 120 ** 2 - $outside) / (960 * 720), 1e-6)
        ->and($coverage?->hiddenWithWords())->toEqualWithDelta((M_PI * 120 ** 2 - $outside + 504 * 80) / (960 * 720), 1e-6)
        ->and($coverage?->wordsHidden())->toBe([]);
    $over = [...$windows, new Window('late', new Rect(364, 500, 600, 200), purpose: Purpose::Person)];
    expect(Coverage::of(new Size(1280, 720), $over, [...$shown, 'late' => new Rect(364, 500, 600, 200)])?->wordsHidden())->toEqualWithDelta(['bar' => 0.5], 1e-6)
        ->and(Coverage::of(new Size(1280, 720), [$windows[1]], $shown))->toBeNull();
});

/** @param  callable(int, int): int  $luma */
function drawn(callable $luma): LumaImage
{
    $bytes = '';
    for ($y = 0; $y < 180; $y++) {
        for ($x = 0; $x < 320; $x++) {
            $bytes .= chr($luma($x, $y));
        }
    }

    return new LumaImage(320, 180, $bytes);
}

it('proposes the corner where the window hides least', function (): void {
    // lines of letters everywhere but at the top right; noise of a few levels is not taken for something
    mt_srand(4);
    $image = drawn(fn (int $x, int $y): int => ($x > 200 && $y < 90) || $y % 12 > 6 ? 235 + mt_rand(-3, 3) : ($x % 6 < 3 ? 20 : 235));
    $busy = Busyness::in($image);
    $shown = new Rect(0, 0, 1280, 720);
    $coverage = Coverage::of(new Size(1280, 720), hidingWindows(), ['slides' => $shown, 'who' => new Rect(980, 420, 240, 240)]);
    assert($coverage !== null);
    $better = LeastHarm::better(hidingWindows()[1], $coverage, $busy, new Size(1280, 720));
    expect($better?->corner->value)->toBe('top-right')->and($better?->harm)->toBeLessThan(0.005)
        ->and($better?->rect)->toEqual(new Rect(980, 60, 240, 240))
        ->and(LeastHarm::harm($busy, $coverage, circle(1100, 540, 120)))->toBeGreaterThan(0.03)
        ->and($busy->busyCells())->not->toBeEmpty();
    $empty = Busyness::in(drawn(fn (int $x, int $y): int => 200 + intdiv($x, 20)));
    expect(LeastHarm::better(hidingWindows()[1], $coverage, $empty, new Size(1280, 720)))->toBeNull();
});

it('does not propose a corner in which words or another window are', function (): void {
    // all but the lower left is full of letters, and there the name bar is
    $busy = Busyness::in(drawn(fn (int $x, int $y): int => $x < 160 && $y > 90 ? 235 : ($x % 6 < 3 ? 20 : 235)));
    $coverage = Coverage::of(new Size(1280, 720), hidingWindows(), ['slides' => new Rect(0, 0, 1280, 720), 'who' => new Rect(980, 420, 240, 240)]);
    assert($coverage !== null);
    expect(LeastHarm::better(hidingWindows()[1], $coverage, $busy, new Size(1280, 720))?->corner->value)->not->toBe('bottom-left');
});

/** @param  callable(float, float): bool  $isHole */
function art(int $width, int $height, callable $isHole): Bitmap
{
    return new Bitmap($width, $height, array_map(fn (int $y): string => implode('', array_map(fn (int $x): string => $isHole($x + 0.5, $y + 0.5) ? '1' : '0', range(0, $width - 1))), range(0, $height - 1)));
}

it('finds the holes of frame art and their shapes', function (): void {
    $holes = HoleFinder::in(art(640, 360, fn (float $x, float $y): bool => ($x > 20 && $x < 320 && $y > 30 && $y < 200)
        || hypot($x - 500, $y - 120) < 80
        || ($x > 40 && $x < 240 && $y > 220 && $y < 340 && hypot(max(70 - $x, $x - 210, 0), max(250 - $y, $y - 310, 0)) < 30)
        || ($x > 400 && $x < 600 && $y > 230 && $y < 340 && $x - 400 > ($y - 230) * 1.5)
        || ($x > 620 && $x < 626 && $y > 10 && $y < 16)));
    expect(array_map(fn ($hole) => $hole->shape?->value ?? 'other', $holes))->toBe(['rectangle', 'circle', 'rounded', 'other'])
        ->and($holes[0]->box)->toEqual(new Rect(20, 30, 300, 170))
        ->and($holes[1]->box)->toEqual(new Rect(420, 40, 160, 160))
        ->and($holes[2]->radius * 120)->toEqualWithDelta(30, 1.5)
        ->and($holes[0]->on(new Size(1280, 720), new Size(640, 360)))->toEqual(new Rect(40, 60, 600, 340));
});

it('joins a hole that comes together only further down, and parts those that touch at a corner', function (): void {
    $u = HoleFinder::in(art(64, 64, fn (float $x, float $y): bool => ($x < 10 || ($x > 30 && $x < 40) || ($y > 50 && $x < 40)) && $y < 60));
    expect($u)->toHaveCount(1)->and($u[0]->shape)->toBeNull();
    $corner = HoleFinder::in(art(64, 64, fn (float $x, float $y): bool => ($x < 20 && $y < 20) || ($x > 20 && $x < 40 && $y > 20 && $y < 40)));
    expect($corner)->toHaveCount(2);
    expect(HoleFinder::in(art(64, 64, fn (): bool => false)))->toBe([])
        ->and(fn () => new Bitmap(20000, 20000, []))->toThrow(Refusal::class, '1920');
});

it('marks on the slide itself what will be hidden', function (): void {
    $coverage = Coverage::of(new Size(1280, 720), hidingWindows(), ['slides' => new Rect(160, 0, 960, 720), 'who' => new Rect(980, 420, 240, 240)]);
    assert($coverage !== null);
    // a 4:3 slide of 1440 x 1080 on a canvas 720 high: one and a half times as large
    $guide = SlideGuide::of($coverage, new Size(1440, 1080), Crop::whole(), new Size(1280, 720));
    expect($guide->hidden[0]->rect)->toEqual(new Rect(1230, 630, 360, 360))->and($guide->hidden[0]->radius)->toBe(180.0)
        ->and($guide->words[0]->rect)->toEqual(new Rect(-144, 870, 900, 120))
        ->and($guide->seen)->toEqual(new Rect(0, 0, 1440, 1080))
        ->and($guide->safe->toArray())->toEqualWithDelta(['x' => 0, 'y' => 54, 'width' => 1440, 'height' => 972], 1e-9);
    // of a slide of which the left half is shown, twice as large
    $half = SlideGuide::of($coverage, new Size(1440, 1080), new Crop(0, 0, 0.5, 0.5), new Size(1280, 720));
    expect($half->hidden[0]->rect)->toEqual(new Rect(615, 315, 180, 180));
});
