<?php

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\BadLayout;
use Rhetorix\Core\Layout\Layouts;
use Rhetorix\Core\Layout\Window;

dataset('canvases', ['16:9' => [1280, 720], '4:3' => [960, 720], '9:16' => [720, 1280], '1:1' => [800, 800]]);

dataset('ready', array_combine($names = ['side-by-side', 'two-boxes', 'one-and-two', 'three-in-a-row', 'four', 'tall-beside', 'presenter', 'strip'], array_map(fn (string $name): array => [$name], $names)));

/**
 * @param  array<string, mixed>  $parameters
 * @return array<string, Rect> by slot
 */
function boxesOf(string $layout, array $parameters, int $width, int $height): array
{
    $ready = Layouts::fromData(['layout' => $layout, ...$parameters]);

    return array_column(array_map(fn (Window $window): array => [$window->slot, $window->rect], $ready->windows(new Size($width, $height))), 1, 0);
}

it('lies wholly on the canvas, whatever its shape and parameters', function (string $layout, int $width, int $height): void {
    $parameters = Layouts::catalogue(new Size($width, $height))[$layout]['parameters'];
    $tried = [[]];
    foreach ($parameters as $name => $parameter) {
        $values = $parameter['words'] !== [] ? $parameter['words'] : [$parameter['least'], $parameter['most']];
        $tried = array_merge($tried, array_map(fn (mixed $value): array => [$name => $parameter['whole'] ? (int) $value : $value], $values));
    }
    foreach ($tried as $values) {
        $boxes = boxesOf($layout, $values, $width, $height);
        expect(array_keys($boxes))->toBe(Layouts::fromData(['layout' => $layout, ...$values])->slots());
        foreach ($boxes as $slot => $box) {
            expect($box->x)->toBeGreaterThanOrEqual(-1e-6, "{$layout} {$slot}")->and($box->y)->toBeGreaterThanOrEqual(-1e-6)
                ->and($box->right())->toBeLessThanOrEqual($width + 1e-6)->and($box->bottom())->toBeLessThanOrEqual($height + 1e-6)
                ->and($box->area())->toBeGreaterThan(0.005 * $width * $height);
        }
    }
})->with('ready')->with('canvases');

it('keeps its windows apart, but for the presenter, who stands before the material', function (string $layout, int $width, int $height): void {
    $boxes = array_values(boxesOf($layout, [], $width, $height));
    foreach ($boxes as $i => $box) {
        foreach (array_slice($boxes, $i + 1) as $other) {
            expect($box->intersection($other) === null)->toBe($layout !== 'presenter');
        }
    }
})->with('ready')->with('canvases');

it('is written down and read again', function (string $layout): void {
    $ready = Layouts::fromData(['layout' => $layout]);
    expect(Layouts::fromData(json_decode((string) json_encode($ready->toArray()), true)))->toEqual($ready);
})->with('ready');

it('splits where it is asked to', function (): void {
    $boxes = boxesOf('side-by-side', ['split' => 0.7, 'gap' => 0.1], 1280, 720);
    expect($boxes['first']->toArray())->toEqualWithDelta(['x' => 0, 'y' => 0, 'width' => 0.7 * (1280 - 72), 'height' => 720], 1e-6)
        ->and($boxes['second']->x - $boxes['first']->right())->toEqualWithDelta(72, 1e-6)
        ->and(boxesOf('side-by-side', [], 720, 1280)['second']->y)->toEqualWithDelta(640, 1e-6);
});

it('keeps the shape of boxes', function (string $shape, float $aspect): void {
    foreach (boxesOf('two-boxes', ['shape' => $shape], 1280, 720) as $box) {
        expect($box->width / $box->height)->toEqualWithDelta($aspect, 1e-6);
    }
})->with([['16:9', 16 / 9], ['4:3', 4 / 3], ['1:1', 1.0], ['9:16', 9 / 16]]);

it('flows a strip anew for one to six people', function (int $people): void {
    $boxes = boxesOf('strip', ['people' => $people, 'gap' => 0.0], 1280, 720);
    expect($boxes)->toHaveCount($people + 1)
        ->and(array_sum(array_map(fn (Rect $box): float => $box->area(), $boxes)))->toEqualWithDelta(1280 * 720, 1e-3)
        ->and($boxes["person {$people}"]->bottom())->toEqualWithDelta(720, 1e-6);
})->with([1, 2, 3, 4, 5, 6]);

it('tells a form which places there are for each number of people', function (): void {
    $strip = Layouts::catalogue(new Size(1280, 720))['strip'];
    expect($strip['slots_by']['people'][2])->toBe(['large', 'person 1', 'person 2'])->and($strip['slots_by']['people'])->toHaveCount(6)
        ->and($strip['slots'])->toBe($strip['slots_by']['people'][3]);
});

it('leaves the material whole beside the presenter when it is asked to', function (): void {
    $whole = boxesOf('presenter', ['side' => 'left'], 1280, 720);
    $beside = boxesOf('presenter', ['side' => 'left', 'material' => 'beside'], 1280, 720);
    expect($whole['material']->width)->toEqualWithDelta(1280, 1e-6)->and($whole['presenter']->x)->toEqualWithDelta(0, 1e-6)
        ->and($beside['material']->right())->toEqualWithDelta(1280, 1e-6)
        ->and($beside['material']->intersection($beside['presenter'])?->area() ?? 0.0)->toBeLessThan(0.5 * ($whole['material']->intersection($whole['presenter'])?->area() ?? 0.0));
});

it('says in a sentence what a parameter may be', function (array $data, string $word): void {
    expect(fn () => Layouts::fromData($data))->toThrow(BadLayout::class, $word);
})->with([
    'a split at the edge' => [['layout' => 'side-by-side', 'split' => 0.95], "20\u{a0}% to 80\u{a0}%"],
    'a thousand people' => [['layout' => 'strip', 'people' => 1000], '1 to 6'],
    'another shape' => [['layout' => 'two-boxes', 'shape' => '5:1'], '16:9, 4:3'],
    'a negative gap' => [['layout' => 'four', 'gap' => -0.2], 'Gap'],
]);
