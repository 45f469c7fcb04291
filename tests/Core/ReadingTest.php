<?php

use Rhetorix\Core\Reading\FarEnd;
use Rhetorix\Core\Reading\Legibility;
use Rhetorix\Core\Reading\LumaImage;
use Rhetorix\Core\Reading\Writing;
use Rhetorix\Core\Reading\WritingFinder;
use Rhetorix\Core\Support\BadInput;

/** A line of simple letters: uprights with gaps, some with strokes above and below the x-height. */
function written(int $xHeight, int $ink = 30, int $ground = 230, int $letters = 24): LumaImage
{
    [$width, $height] = [600, 160];
    $rows = array_fill(0, $height, array_fill(0, $width, $ground));
    $thick = max(1, intdiv($xHeight, 5));
    $pitch = max(4, (int) round(0.9 * $xHeight));
    for ($letter = 0; $letter < $letters; $letter++) {
        $left = 40 + $letter * $pitch;
        $top = 80 - ($letter % 5 === 2 ? intdiv($xHeight, 2) : 0);
        $bottom = 80 + $xHeight + ($letter % 7 === 3 ? intdiv($xHeight, 3) : 0);
        for ($y = $top; $y < $bottom; $y++) {
            foreach ([$left, $left + intdiv($pitch, 2)] as $x) {
                for ($t = 0; $t < $thick && $x + $t < $width; $t++) {
                    $rows[$y][$x + $t] = ($y >= 80 && $y < 80 + $xHeight) || $x === $left ? $ink : $ground;
                }
            }
        }
    }

    return new LumaImage($width, $height, implode('', array_map(fn (array $row): string => implode('', array_map(chr(...), $row)), $rows)));
}

it('finds a line and how high its letters are', function (int $xHeight, int $ink, int $ground): void {
    $lines = WritingFinder::in(written($xHeight, $ink, $ground));
    expect($lines)->toHaveCount(1)->and($lines[0]->xHeight)->toEqualWithDelta($xHeight, max(1.0, 0.1 * $xHeight));
})->with([[6, 30, 230], [9, 30, 230], [14, 30, 230], [20, 30, 230], [9, 240, 40], [14, 240, 40]]);

it('finds nothing where nothing is written', function (): void {
    expect(WritingFinder::in(new LumaImage(200, 100, str_repeat(chr(120), 20_000))))->toBe([])
        ->and(WritingFinder::in(written(12, 110, 130)))->toBe([])
        ->and(WritingFinder::in(written(12, letters: 1)))->toBe([]);
});

it('refuses bytes that are no picture', function (int $width, int $height, int $bytes): void {
    expect(fn () => new LumaImage($width, $height, str_repeat('x', $bytes)))->toThrow(BadInput::class, '1920 × 1080');
})->with([[100, 100, 99], [0, 0, 0], [4000, 4000, 16]]);

it('says what can be read at the far end, and how much larger the rest must be', function (): void {
    $of = fn (float ...$heights) => Legibility::of(array_map(fn (float $h): Writing => new Writing(0, 0, (int) (30 * $h), (int) $h, $h), array_values($heights)), 1280, 720, FarEnd::Window);
    expect($of(20.0)->isReadable())->toBeTrue()->and($of(20.0)->factor())->toBe(1.0)->and($of(20.0)->sentence())->toContain('it can be read')
        ->and($of(11.0)->sentence())->toContain('just be read')
        ->and($of(30.0, 6.0)->isReadable())->toBeFalse()->and($of(30.0, 6.0)->factor())->toEqualWithDelta(6.3 / 3, 1e-9)
        ->and($of(30.0, 6.0)->sentence())->toContain('2.1 times larger')
        ->and($of()->sentence())->toContain('No writing');
});

it('does not go by a speck among much writing', function (): void {
    $much = array_map(fn (int $i): Writing => new Writing(0, 20 * $i, 600, 20, 16.0), range(1, 20));
    expect(Legibility::of([...$much, new Writing(0, 0, 15, 4, 4.0)], 1280, 720, FarEnd::Window)->isReadable())->toBeTrue();
});

it('asks more of a phone than of a screen', function (): void {
    $line = [new Writing(0, 0, 400, 16, 12.0)];
    $heights = array_map(fn (FarEnd $far): float => Legibility::of($line, 1280, 720, $far)->farHeight, [FarEnd::Phone, FarEnd::Window, FarEnd::Half, FarEnd::Screen]);
    $sorted = $heights;
    sort($sorted);
    expect($heights)->toBe($sorted)->and($heights[3])->toBe(12.0);
});
