<?php

// Layouts made by hand: what they read and write, how they are composed, snapped and put in order.

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\SafeArea;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Geometry\View;
use Rhetorix\Core\Layout\Aspect;
use Rhetorix\Core\Layout\Corner;
use Rhetorix\Core\Layout\Free\Arrange;
use Rhetorix\Core\Layout\Free\FreeLayout;
use Rhetorix\Core\Layout\Free\NewPlace;
use Rhetorix\Core\Layout\InsetLayout;
use Rhetorix\Core\Layout\Layouts;
use Rhetorix\Core\Layout\Purpose;
use Rhetorix\Core\Layout\Shape;
use Rhetorix\Core\Layout\Snap\Hold;
use Rhetorix\Core\Layout\Snap\Snap;
use Rhetorix\Core\Layout\Snap\Targets;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Picture\Composer;
use Rhetorix\Core\Picture\Layer;
use Rhetorix\Core\Support\Refusal;

/**
 * @param  list<array<string, mixed>>  $windows  {slot?, x, y, width, height, ...}
 * @return array<string, mixed>
 */
function freeData(array $windows): array
{
    return ['layout' => 'free', 'canvas' => ['width' => 1280, 'height' => 720], 'windows' => array_map(fn (array $window, int $i): array => ['slot' => "w{$i}", ...$window], $windows, array_keys($windows))];
}

/**
 * @param  array<string, mixed>  $window
 */
function composedWindow(array $window, Size $source = new Size(1280, 720)): Layer
{
    $layout = Layouts::fromData(freeData([['x' => 100, 'y' => 50, 'width' => 400, 'height' => 400, 'fit' => 'cover', ...$window]]));

    return (new Composer(Canvas::usual(), ['a' => camera('a', $source)]))->compose(picture('p', ['w0' => 'a'], $layout))->layers[0];
}

it('writes what it reads, and keeps its shares on a canvas of another size', function (): void {
    $data = freeData([
        ['purpose' => 'material', 'x' => 0, 'y' => 0, 'width' => 1280, 'height' => 720],
        ['purpose' => 'person', 'x' => 960, 'y' => 400, 'width' => 240, 'height' => 240, 'shape' => 'circle', 'aspect' => '1:1', 'border' => ['width' => 6, 'colour' => '#FFFFFF'], 'turn' => 1, 'locked' => true],
        ['purpose' => 'words', 'x' => 64, 'y' => 560, 'width' => 500, 'height' => 100, 'hidden' => true],
    ]);
    $layout = Layouts::fromData($data);
    expect(Layouts::fromData($layout->toArray()))->toEqual($layout)
        ->and($layout->slots())->toBe(['w0', 'w1'])
        ->and($layout->windows(new Size(1280, 720)))->toHaveCount(2);
    $tall = $layout->windows(new Size(720, 1280))[1];
    expect($tall->rect->toArray())->toEqualWithDelta(['x' => 540, 'y' => 400 * 1280 / 720, 'width' => 135, 'height' => 240 * 1280 / 720], 1e-9)
        // a circle stays one
        ->and($tall->outline()->rect->width)->toBe($tall->outline()->rect->height)->and($tall->outline()->rect->width)->toEqualWithDelta(135, 1e-9);
});

it('goes on by hand from any layout', function (): void {
    $ready = new InsetLayout(Corner::TopRight, 0.3);
    $free = FreeLayout::of($ready, new Size(1280, 720));
    expect(array_map(fn ($window) => $window->rect, $free->windows(new Size(1280, 720))))->toEqual(array_map(fn ($window) => $window->rect, $ready->windows(new Size(1280, 720))))
        ->and($free->slots())->toBe($ready->slots());
});

it('says by its path what is wrong', function (array $data, string $word): void {
    expect(fn () => Layouts::fromData($data))->toThrow(Refusal::class, $word);
})->with([
    'outside' => [freeData([['x' => 1300, 'y' => 0, 'width' => 100, 'height' => 100]]), 'layout.windows[0]” must be on the canvas; move this window back'],
    'no width' => [freeData([['x' => 0, 'y' => 0, 'width' => 0, 'height' => 100]]), 'layout.windows[0].width'],
    'negative height' => [freeData([['x' => 0, 'y' => 0, 'width' => 100, 'height' => -20]]), 'layout.windows[0].height'],
    'a thousand' => [freeData(array_fill(0, 1000, ['x' => 0, 'y' => 0, 'width' => 100, 'height' => 100])), 'at most 24 windows'],
    'unknown field' => [freeData([['x' => 0, 'y' => 0, 'width' => 100, 'height' => 100, 'colr' => 'red']]), 'layout.windows[0].colr” is not known'],
    'not a number' => [freeData([['x' => NAN, 'y' => 0, 'width' => 100, 'height' => 100]]), 'layout.windows[0].x'],
    'twice the same' => [freeData([['slot' => 'a', 'x' => 0, 'y' => 0, 'width' => 100, 'height' => 100], ['slot' => 'a', 'x' => 0, 'y' => 0, 'width' => 100, 'height' => 100]]), '“a” is there 2 times'],
    'a border of jam' => [freeData([['x' => 0, 'y' => 0, 'width' => 100, 'height' => 100, 'border' => ['width' => 2, 'colour' => 'jam']]]), 'layout.windows[0].border.colour'],
    'no list' => [['layout' => 'free', 'canvas' => ['width' => 1280, 'height' => 720], 'windows' => ['a' => 1]], 'a list of windows'],
]);

it('keeps the centre of the picture when the shape of its window changes', function (array $shape): void {
    $crop = composedWindow($shape)->crop;
    expect($crop->x + $crop->width / 2)->toEqualWithDelta(0.5, 1e-9)->and($crop->y + $crop->height / 2)->toEqualWithDelta(0.5, 1e-9);
})->with([[['shape' => 'circle']], [['shape' => 'rounded', 'width' => 711]], [['width' => 200]], [['height' => 100]], [['fit' => 'contain']]]);

it('enlarges and moves the picture inside its window, never past its edges', function (): void {
    $twice = composedWindow(['view' => ['zoom' => 2, 'x' => 0.5, 'y' => 0.5]])->crop;
    expect($twice->height)->toEqualWithDelta(0.5, 1e-9)->and($twice->width)->toEqualWithDelta(0.5 * 720 / 1280, 1e-9);
    $corner = composedWindow(['view' => ['zoom' => 2, 'x' => 1, 'y' => 0]])->crop;
    expect($corner->x + $corner->width)->toEqualWithDelta(1, 1e-9)->and($corner->y)->toEqualWithDelta(0, 1e-9);
    // all of it is shown until it is larger than its window
    $contained = composedWindow(['fit' => 'contain', 'view' => ['zoom' => 1.5, 'x' => 0.5, 'y' => 0.5]]);
    expect($contained->dest)->toEqual(new Rect(100, 50 + (400 - 337.5) / 2, 400, 337.5))->and($contained->crop->width)->toEqualWithDelta(1 / 1.5, 1e-9)->and($contained->crop->height)->toEqualWithDelta(1, 1e-9);
    expect(fn () => View::fromFields(Rhetorix\Core\Support\Fields::of(['zoom' => 900, 'x' => 0, 'y' => 0])))->toThrow(Refusal::class, 'zoom');
});

it('turns the picture of one window by quarter turns', function (): void {
    $layer = composedWindow(['turn' => 1, 'width' => 225, 'height' => 400]);
    // a 16:9 picture stands upright in a 9:16 window, all of it
    expect($layer->orientation->quarterTurns())->toBe(1)->and($layer->crop->width)->toEqualWithDelta(1, 1e-9)->and($layer->crop->height)->toEqualWithDelta(1, 1e-9);
});

it('has safe areas as published', function (): void {
    // SMPTE ST 2046-1 and EBU R 95, for 1920 x 1080
    $hd = new Size(1920, 1080);
    expect([round(SafeArea::Action->in($hd)->width), round(SafeArea::Action->in($hd)->height)])->toBe([1786.0, 1004.0])
        ->and([round(SafeArea::Title->in($hd)->width), round(SafeArea::Title->in($hd)->height)])->toBe([1728.0, 972.0])
        ->and(SafeArea::Title->in($hd)->x)->toEqualWithDelta(96, 1e-9)->and(SafeArea::Title->in($hd)->y)->toEqualWithDelta(54, 1e-9);
});

it('snaps to edges, centre, thirds, safe areas, other windows and equal gaps', function (array $others, array $start, float $dx, float $dy, array $expected, array $why): void {
    $targets = Targets::on(new Size(1200, 600), array_map(fn (array $rect): Rect => new Rect(...$rect), $others));
    $snap = Snap::of(new Rect(...$start), Hold::Middle, $dx, $dy, null, $targets, 8);
    expect([$snap->rect->x, $snap->rect->y])->toEqualWithDelta($expected, 1e-9)->and(array_column($snap->guides, 'why'))->toBe($why);
})->with([
    'left and top edges' => [[], [40, 40, 200, 100], -35, -36, [0.0, 0.0], ['edge', 'edge']],
    'the middle' => [[], [40, 40, 200, 100], 463, 205, [500.0, 250.0], ['centre', 'centre']],
    'a third' => [[], [10, 120, 140, 100], 387.4, -1.6, [400.0, 118.0], ['third']],
    'the safe area' => [[], [300, 120, 200, 100], -236, -1.6, [60.0, 118.0], ['safe']],
    'another window' => [[[730, 310, 150, 94]], [100, 100, 200, 60], 433, 212, [530.0, 310.0], ['window', 'window']],
    'an equal gap beside two' => [[[100, 40, 150, 90], [280, 40, 150, 90]], [600, 218, 150, 90], -143.5, 13.2, [460.0, 231.0], ['gap']],
    'as far from the right as another from the left' => [[[70, 40, 150, 90]], [900, 218, 150, 90], 76, 13.2, [980.0, 231.0], ['gap']],
    'nothing near: whole pixels' => [[], [100, 220, 201, 101], 20.4, 12.6, [120.0, 233.0], []],
]);

it('snaps the edge that is held, and keeps the proportion', function (): void {
    $targets = Targets::on(new Size(1200, 600), [new Rect(0, 0, 333, 50)]);
    $free = Snap::of(new Rect(400, 200, 200, 100), Hold::Left, -64, 0, null, $targets, 8);
    expect($free->rect)->toEqual(new Rect(333, 200, 267, 100))->and($free->guides[0]['at'])->toBe(333.0);
    $kept = Snap::of(new Rect(400, 200, 200, 100), Hold::BottomRight, 195, 30, 2.0, $targets, 8);
    // 395 wide asks for 197.5 high: its bottom 397.5 comes to rest at the third
    expect($kept->rect)->toEqual(new Rect(400, 200, 400, 200))->and($kept->rect->width / $kept->rect->height)->toBe(2.0);
    $least = Snap::of(new Rect(400, 200, 200, 100), Hold::Right, -900, 0, null, $targets, 0);
    expect($least->rect->width)->toBe(8.0)->and($least->rect->x)->toBe(400.0);
    $middle = Snap::of(new Rect(400, 200, 200, 100), Hold::Top, 0, -50, 2.0, $targets, 0);
    expect($middle->rect)->toEqual(new Rect(350, 150, 300, 150));
});

it('puts windows in order', function (Arrange $how, array $expected): void {
    $rects = ['a' => new Rect(10, 20, 100, 50), 'b' => new Rect(300, 80, 60, 60), 'c' => new Rect(500, 200, 200, 90)];
    $done = $how->of($rects);
    ksort($done);
    expect(array_map(fn (Rect $rect): array => array_values($rect->toArray()), array_values($done)))->toEqual($expected);
})->with([
    [Arrange::Left, [[500, 20, 100, 50], [500, 80, 60, 60], [500, 200, 200, 90]]],
    [Arrange::Bottom, [[10, 240, 100, 50], [300, 230, 60, 60], [500, 200, 200, 90]]],
    [Arrange::Centre, [[550, 20, 100, 50], [570, 80, 60, 60], [500, 200, 200, 90]]],
    [Arrange::Across, [[10, 20, 100, 50], [275, 80, 60, 60], [500, 200, 200, 90]]],
    [Arrange::Down, [[10, 20, 100, 50], [300, 105, 60, 60], [500, 200, 200, 90]]],
    [Arrange::SameSize, [[-40, 0, 200, 90], [230, 65, 200, 90], [500, 200, 200, 90]]],
]);

it('needs enough windows for it', function (): void {
    expect(fn () => Arrange::Across->of(['a' => new Rect(0, 0, 1, 1), 'b' => new Rect(0, 0, 1, 1)]))->toThrow(Refusal::class, 'at least 3 windows');
});

it('begins a new window where it is usually wanted', function (): void {
    $canvas = new Size(1280, 720);
    $layout = NewPlace::in(new FreeLayout($canvas, []), Purpose::Material, 'slides');
    expect($layout->place('slides')?->window->rect)->toEqual($canvas->asRect())->and($layout->fillsCanvas())->toBeTrue();
    $safe = SafeArea::Title->in($canvas);
    $corners = [];
    foreach (['one', 'two', 'three', 'four'] as $slot) {
        $layout = NewPlace::in($layout, Purpose::Person, $slot);
        $rect = $layout->place($slot)?->window->rect ?? new Rect(0, 0, 0, 0);
        // each in a corner of its own, inside the area for words
        $corners[] = [$rect->x < 640 ? 'left' : 'right', $rect->y < 360 ? 'top' : 'bottom'];
        expect($rect->x)->toBeGreaterThanOrEqual(round($safe->x))->and($rect->bottom())->toBeLessThanOrEqual(round($safe->bottom()) + 1);
    }
    expect(array_unique(array_map(fn (array $corner): string => implode(' ', $corner), $corners)))->toHaveCount(4)->and($corners[0])->toBe(['right', 'bottom']);
    $layout = NewPlace::in($layout, Purpose::Words, 'bar');
    expect($layout->place('bar')?->window->rect->x)->toBe(64.0)->and($layout->slots())->not->toContain('bar');
    // a background lies behind all, frame art in front; neither is moved by accident
    $layout = NewPlace::in(NewPlace::in($layout, Purpose::Background, 'ground'), Purpose::Art, 'frame');
    expect($layout->places[0]->window->slot)->toBe('ground')->and($layout->places[count($layout->places) - 1]->window->slot)->toBe('frame')
        ->and($layout->place('ground')?->locked)->toBeTrue()->and($layout->place('frame')?->locked)->toBeTrue();
    // a second material window does not cover the first
    expect(NewPlace::in($layout, Purpose::Material, 'more')->place('more')?->window->rect->width)->toBeLessThan(640.0);
});

it('refuses a twenty-fifth window', function (): void {
    $full = Layouts::fromData(freeData(array_fill(0, 24, ['x' => 0, 'y' => 0, 'width' => 100, 'height' => 100])));
    assert($full instanceof FreeLayout);
    expect(fn () => NewPlace::in($full, Purpose::Person, 'more'))->toThrow(Refusal::class, 'delete one that is not needed');
});

it('gives a window another shape or proportion where it is: at the side of the canvas it stays there', function (array $rect, array $round, array $tall): void {
    $layout = Layouts::fromData(freeData([['x' => $rect[0], 'y' => $rect[1], 'width' => 320, 'height' => 180, 'fit' => 'contain', 'border' => ['width' => 4, 'colour' => '#ffffff']]]));
    assert($layout instanceof FreeLayout);
    $circle = $layout->places[0]->shaped(Shape::Circle, $layout->canvas);
    expect(array_values($circle->window->rect->toArray()))->toEqual([...$round, 180, 180])->and($circle->aspect)->toBe(Aspect::Square)->and($circle->window->style->border)->toBe(4.0)
        ->and($circle->window->outline()->radius)->toBe(90.0)->and($circle->ratio())->toBe(1.0);
    $upright = $layout->places[0]->proportioned(Aspect::Tall, $layout->canvas);
    expect(array_values($upright->window->rect->toArray()))->toEqual([...$tall, 101.25, 180])->and($upright->ratio())->toBe(9 / 16);
    expect($layout->places[0]->proportioned(Aspect::Kept, $layout->canvas)->ratio())->toEqualWithDelta(320 / 180, 1e-9)->and($layout->places[0]->ratio())->toBeNull();
})->with([
    'in the middle' => [[480, 270], [550, 270], [589, 270]],
    'at the right' => [[900, 500], [1040, 500], [1119, 500]],
    'at the left' => [[64, 36], [64, 36], [64, 36]],
]);
