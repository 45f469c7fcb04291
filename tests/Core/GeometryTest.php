<?php

use Rhetorix\Core\Geometry\BadGeometry;
use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Geometry\Uncovered;

it('places a source in a window', function (string $fit, array $source, array $window, array $dest, array $crop): void {
    $placed = Fit::from($fit)->place(new Size(...$source), new Rect(...$window));

    expect(array_values($placed->dest->toArray()))->toEqualWithDelta($dest, 1e-9)
        ->and(array_values($placed->crop->toArray()))->toEqualWithDelta($crop, 1e-9);
})->with([
    // fit, source, window (x, y, width, height), dest, crop in fractions
    'same shape, contain' => ['contain', [1920, 1080], [0, 0, 1280, 720], [0, 0, 1280, 720], [0, 0, 1, 1]],
    'same shape, cover' => ['cover', [640, 360], [0, 0, 1280, 720], [0, 0, 1280, 720], [0, 0, 1, 1]],
    '4:3 contained in 16:9 leaves the sides free' => ['contain', [1024, 768], [0, 0, 1280, 720], [160, 0, 960, 720], [0, 0, 1, 1]],
    '4:3 covering 16:9 loses an eighth above and below' => ['cover', [1024, 768], [0, 0, 1280, 720], [0, 0, 1280, 720], [0, 0.125, 1, 0.75]],
    '9:16 contained in 16:9' => ['contain', [720, 1280], [0, 0, 1280, 720], [437.5, 0, 405, 720], [0, 0, 1, 1]],
    '9:16 covering 16:9' => ['cover', [720, 1280], [0, 0, 1280, 720], [0, 0, 1280, 720], [0, (1 - 81 / 256) / 2, 1, 81 / 256]],
    '16:9 covering 1:1 loses the sides' => ['cover', [1600, 900], [100, 50, 300, 300], [100, 50, 300, 300], [0.21875, 0, 0.5625, 1]],
    'stretch takes all of both' => ['stretch', [720, 1280], [10, 20, 300, 100], [10, 20, 300, 100], [0, 0, 1, 1]],
]);

it('keeps the centre of the source in the centre of the window, whatever the shapes', function (): void {
    foreach ([[1920, 1080], [1024, 768], [720, 1280], [500, 500], [3840, 160]] as $source) {
        foreach ([[0, 0, 1280, 720], [900, 500, 358, 201], [20, 20, 90, 160], [5, 5, 333, 334]] as $window) {
            foreach (Fit::cases() as $fit) {
                $rect = new Rect(...$window);
                $placed = $fit->place(new Size(...$source), $rect);
                expect($placed->dest->x + $placed->dest->width / 2)->toEqualWithDelta($rect->x + $rect->width / 2, 1e-9)
                    ->and($placed->dest->y + $placed->dest->height / 2)->toEqualWithDelta($rect->y + $rect->height / 2, 1e-9)
                    ->and($placed->crop->x + $placed->crop->width / 2)->toEqualWithDelta(0.5, 1e-9)
                    ->and($placed->crop->y + $placed->crop->height / 2)->toEqualWithDelta(0.5, 1e-9);
            }
        }
    }
});

it('never distorts when it contains or covers', function (Fit $fit): void {
    foreach ([[1920, 1080], [1024, 768], [720, 1280], [999, 331]] as $source) {
        $size = new Size(...$source);
        $placed = $fit->place($size, new Rect(3, 4, 411, 277));
        $used = $placed->crop->inPixels($size);
        expect($placed->dest->width / $used->width)->toEqualWithDelta($placed->dest->height / $used->height, 1e-9);
    }
})->with([Fit::Contain, Fit::Cover]);

it('refuses sizes, rectangles and crops that cannot be, in a sentence', function (Closure $make, string $word): void {
    expect($make)->toThrow(BadGeometry::class, $word);
})->with([
    'no width' => [fn () => new Size(0, 720), 'no area'],
    'negative height' => [fn () => new Size(10, -1), 'no area'],
    'not a number' => [fn () => new Size(NAN, 1), 'no area'],
    'endless' => [fn () => new Size(INF, 1), 'no area'],
    'negative window' => [fn () => new Rect(0, 0, -5, 5), 'cannot be placed'],
    'crop outside' => [fn () => new Crop(0.5, 0, 0.6, 1), 'inside its source'],
    'crop of nothing' => [fn () => new Crop(0.5, 0, 0, 1), 'inside its source'],
]);

it('cuts a hole out of a rectangle without losing or doubling area', function (array $hole): void {
    $rect = new Rect(0, 0, 100, 80);
    $hole = new Rect(...$hole);
    $pieces = $rect->without($hole);
    $common = $rect->intersection($hole)?->area() ?? 0.0;

    expect(array_sum(array_map(fn (Rect $piece) => $piece->area(), $pieces)))->toEqualWithDelta(8000 - $common, 1e-9);
    foreach ($pieces as $i => $a) {
        expect($a->intersection($hole))->toBeNull();
        foreach (array_slice($pieces, $i + 1) as $b) {
            expect($a->intersection($b))->toBeNull();
        }
    }
})->with([
    'inside' => [[20, 20, 30, 30]], 'corner' => [[-10, -10, 40, 40]], 'across' => [[40, -5, 10, 100]],
    'all of it' => [[-1, -1, 200, 200]], 'apart' => [[300, 0, 10, 10]], 'touching' => [[100, 0, 10, 80]],
]);

it('knows what is free beneath others, counting overlaps once', function (): void {
    $rect = new Rect(0, 0, 100, 100);
    expect(Uncovered::area($rect, []))->toBe(10000.0)
        ->and(Uncovered::area($rect, [new Rect(0, 0, 60, 100), new Rect(40, 0, 60, 100)]))->toBe(0.0)
        ->and(Uncovered::area($rect, [new Rect(0, 0, 50, 50), new Rect(25, 25, 50, 50)]))->toBe(10000.0 - 2500 - 2500 + 625)
        ->and(Uncovered::anyOf($rect, [new Rect(0, 0, 99, 100)]))->toBeTrue()
        ->and(Uncovered::anyOf($rect, [new Rect(0, 0, 99.999, 100)]))->toBeFalse();
});

it('counts free area as a raster does', function (): void {
    // Independent of the cutting: count whole cells on a grid of whole numbers.
    mt_srand(20261124);
    for ($round = 0; $round < 40; $round++) {
        $covers = array_map(fn () => new Rect(mt_rand(-5, 25), mt_rand(-5, 25), mt_rand(0, 20), mt_rand(0, 20)), range(1, mt_rand(1, 6)));
        $free = 0;
        for ($x = 0; $x < 30; $x++) {
            for ($y = 0; $y < 30; $y++) {
                $hidden = array_filter($covers, fn (Rect $c) => $x >= $c->x && $x < $c->right() && $y >= $c->y && $y < $c->bottom());
                $free += $hidden === [] ? 1 : 0;
            }
        }
        expect(Uncovered::area(new Rect(0, 0, 30, 30), $covers))->toEqualWithDelta($free, 1e-6);
    }
});
