<?php

use Rhetorix\Core\Colour\ColourMatrix;
use Rhetorix\Core\Colour\Correction;
use Rhetorix\Core\Colour\Lab;
use Rhetorix\Core\Colour\Matched;
use Rhetorix\Core\Colour\Matching;
use Rhetorix\Core\Colour\Patch;
use Rhetorix\Core\Colour\Transfer;
use Rhetorix\Core\Colour\WhitePoint;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** @param  list<int>  $levels */
function patchOf(array $levels): Patch
{
    return Patch::fromFields(Fields::of(['p' => $levels]), 'p');
}

/**
 * A patch with light and dark parts, and the same under other gains of light.
 *
 * @param  list<float>  $gain
 * @return list<int>
 */
function lit(array $gain, float $offset = 0.0): array
{
    $levels = [];
    foreach ([20, 60, 90, 120, 150, 180, 200] as $level) {
        foreach ($gain as $g) {
            $levels[] = (int) round(255 * Transfer::toCoded($g * Transfer::toLight($level / 255) + $offset));
        }
    }

    return $levels;
}

it('goes from coded values to light and back', function (): void {
    foreach (range(0, 255) as $level) {
        expect(Transfer::toCoded(Transfer::toLight($level / 255)))->toEqualWithDelta($level / 255, 1e-9);
    }
    // W3C CSS Color 4: the two pieces meet at 0.04045; 0.5 coded is 0.2140 light.
    expect(Transfer::toLight(0.5))->toEqualWithDelta(0.2140, 1e-4)->and(Transfer::toCoded(2.0))->toBe(1.0)->and(Transfer::toCoded(-1.0))->toBe(0.0);
});

it('joins matrices in their order', function (): void {
    $both = ColourMatrix::brightness(2)->then(ColourMatrix::contrast(0.5));
    expect($both->of([0.3, 0.1, 0.2]))->toEqualWithDelta([0.55, 0.35, 0.45], 1e-9)
        ->and(ColourMatrix::contrast(0.5)->then(ColourMatrix::brightness(2))->of([0.3, 0.1, 0.2]))->toEqualWithDelta([0.8, 0.6, 0.7], 1e-9)
        ->and($both->isPerChannel())->toBeTrue()
        ->and(ColourMatrix::saturation(0.5)->isPerChannel())->toBeFalse()
        ->and(ColourMatrix::same()->toArray())->toHaveCount(20);
});

it('keeps a white sheet as bright when it is made warmer or greener', function (float $warmth, float $tint): void {
    [$red, $green, $blue] = WhitePoint::gains($warmth, $tint);
    expect(0.2126 * $red + 0.7152 * $green + 0.0722 * $blue)->toEqualWithDelta(1.0, 1e-9)
        ->and($warmth > 0 ? $red > $blue : ($warmth < 0 ? $red < $blue : true))->toBeTrue()
        ->and($tint > 0 ? $green < 1 : ($tint < 0 ? $green > 1 : true))->toBeTrue();
})->with([[0.0, 0.0], [1.0, 0.0], [-1.0, 0.0], [0.3, 0.0], [0.0, 1.0], [0.0, -1.0], [0.0, 0.4]]);

it('changes nothing when nothing is set', function (): void {
    ['tables' => $tables, 'matrix' => $matrix] = Correction::none()->plan();
    expect($tables)->toBe([range(0, 255), range(0, 255), range(0, 255)])->and($matrix)->toBeNull();
});

it('makes tables alone where channels do not mix, and a matrix where they do', function (): void {
    expect((new Correction(brightness: 1.2, contrast: 0.9, warmth: 0.4))->plan()['matrix'])->toBeNull();
    $plan = (new Correction(saturation: 0.0))->plan();
    expect($plan['matrix'])->toHaveCount(20)->and($plan['tables'][0])->toBe(range(0, 255));
});

it('refuses a control out of its range', function (string $name, float $value): void {
    expect(fn () => Correction::none()->with(Fields::of([$name => $value])))->toThrow(BadInput::class, $name);
})->with([['brightness', 3.0], ['contrast', -0.1], ['saturation', 2.1], ['warmth', 1.5], ['tint', -2.0]]);

it('finds the gains between two cameras', function (array $gain, float $offset): void {
    $pairs = [[patchOf(lit([1, 1, 1])), patchOf(lit($gain, $offset))]];
    $matched = Matching::of($pairs);
    foreach ($gain as $channel => $wanted) {
        expect($matched->gain[$channel])->toEqualWithDelta($wanted, 0.05);
    }
    expect(Matching::difference($pairs, $matched))->toBeLessThan(1.0)
        ->and(Matching::difference($pairs, $matched))->toBeLessThan(0.2 * Matching::difference($pairs, Matched::nothing()));
})->with([
    'another lamp' => [[0.8, 1.0, 1.3], 0.0],
    'less light' => [[0.7, 0.7, 0.7], 0.0],
    'light in the lens' => [[1.0, 0.95, 0.9], 0.03],
]);

it('makes a grey card grey', function (): void {
    $matched = Matching::grey(patchOf(lit([1.2, 1.0, 0.7])));
    $light = patchOf(lit([1.2, 1.0, 0.7]))->meanLight();
    $put = array_map(fn (int $c): float => $matched->gain[$c] * $light[$c], [0, 1, 2]);
    expect(max($put) - min($put))->toBeLessThan(1e-4);
});

it('says in a sentence why patches cannot be matched', function (array $from, array $to, string $word): void {
    expect(function () use ($from, $to): void {
        patchOf($from)->mustShow('this picture');
        patchOf($to)->mustShow('the other picture');
        Matching::of([[patchOf($from), patchOf($to)]]);
    })->toThrow(Refusal::class, $word);
})->with([
    'too bright' => [[255, 255, 255], [100, 100, 100], 'this picture is too bright'],
    'black' => [[100, 90, 80], [0, 0, 1], 'the other picture is too bright or too dark'],
    'another thing' => [[12, 12, 12], [230, 30, 230], 'too different'],
    'not levels' => [[1, 2], [1, 2, 3], 'three for each pixel'],
    'beyond' => [[300, 0, 0], [1, 2, 3], 'between 0 and 255'],
]);

// Pairs of the table in Sharma, Wu and Dalal (2005), values from memory.
it('tells colours apart as the published table does', function (array $a, array $b, float $difference): void {
    expect((new Lab(...$a))->differenceTo(new Lab(...$b)))->toEqualWithDelta($difference, 1e-4)
        ->and((new Lab(...$b))->differenceTo(new Lab(...$a)))->toEqualWithDelta($difference, 1e-4);
})->with([
    [[50.0, 2.6772, -79.7751], [50.0, 0.0, -82.7485], 2.0425],
    [[50.0, 3.1571, -77.2803], [50.0, 0.0, -82.7485], 2.8615],
    [[50.0, 2.5, 0.0], [50.0, 0.0, -2.5], 4.3065],
    [[50.0, 2.5, 0.0], [73.0, 25.0, -18.0], 27.1492],
]);
