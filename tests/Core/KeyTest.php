<?php

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Key\Backdrop;
use Rhetorix\Core\Key\BackingSample;
use Rhetorix\Core\Key\ChromaKey;
use Rhetorix\Core\Key\FlatColour;
use Rhetorix\Core\Key\Matte;
use Rhetorix\Core\LineUp\Health\Signal;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Picture\Composer;
use Rhetorix\Core\Rig\Live\Framing;
use Rhetorix\Core\Rig\Live\Handling;
use Rhetorix\Core\Rig\Live\Handlings;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;
use Rhetorix\Core\Switching\Desk;

const CLOTH = [43, 154, 128];

it('cuts the backing, keeps grey things, skin and hair, and lets through between', function (): void {
    $key = new ChromaKey(CLOTH);
    expect($key->of(CLOTH)[3])->toBe(0)
        ->and($key->of([128, 128, 128]))->toBe([128, 128, 128, 255])
        ->and($key->of([185, 133, 99]))->toBe([185, 133, 99, 255])
        ->and($key->of([40, 28, 24])[3])->toBe(255);
    // half hair, half cloth: between, and the cloth is taken out of its colour
    [$r, $g, $b, $alpha] = $key->of([42, 91, 76]);
    expect($alpha)->toBeGreaterThan(60)->toBeLessThan(220)->and(abs($g - $r))->toBeLessThan(20)->and(abs($b - $r))->toBeLessThan(20);
});

it('takes the light of the backing off what stands in front, as much as is asked', function (): void {
    $tinted = [140, 150, 140];
    $green = fn (float $spill): int => (new ChromaKey([0, 255, 0], spill: $spill))->of($tinted)[1] - (new ChromaKey([0, 255, 0], spill: $spill))->of($tinted)[0];
    expect($green(0.0))->toBe(10)->and($green(1.0))->toBeLessThanOrEqual(1)->and($green(0.5))->toBeGreaterThan($green(1.0))->toBeLessThan(10);
});

it('refuses a backing that is nearly grey', function (): void {
    expect(fn () => new ChromaKey([120, 124, 122]))->toThrow(BadInput::class, 'nearly grey')
        ->and(fn () => ChromaKey::fromFields(Fields::of(['colour' => 'green'])))->toThrow(BadInput::class, '#3f9f86');
});

it('finds the backing again when the light has changed, also with somebody in front of it', function (): void {
    $key = new ChromaKey(CLOTH, 0.3, 0.5, 0.8, new Crop(0.1, 0, 0.8, 1));
    $dimmer = [30, 110, 100];
    $cells = [...array_fill(0, 300, $dimmer), ...array_fill(0, 200, [185, 133, 99]), ...array_fill(0, 100, [207, 195, 174])];
    $again = BackingSample::again($key, $cells);
    expect($again->colour)->toBe($dimmer)->and($again->toArray())->toEqual([...$key->toArray(), 'colour' => '#1e6e64'])
        ->and(fn () => BackingSample::again($key, array_fill(0, 100, [185, 133, 99])))->toThrow(Refusal::class, 'No backing');
});

it('offers the far end the flat colour that the subject has least of', function (): void {
    expect(FlatColour::furthestFrom([[40, 200, 60], [60, 180, 40]]))->not->toBe('#00ff00')
        ->and(FlatColour::furthestFrom([[40, 60, 220]]))->not->toBe('#0000ff')
        ->and(FlatColour::furthestFrom([[200, 40, 190], [40, 60, 220]]))->toBe('#00ff00');
});

/** @param  array<string, mixed>  $edges */
function matte(array $edges, float $between = 0.01): Matte
{
    $clear = array_fill(0, 24, 0.0);

    return Matte::fromFields(Fields::of([...['left' => $clear, 'right' => $clear, 'top' => $clear], ...$edges, 'between' => $between]));
}

it('notices when the subject leaves the keyed part, and when the backing is not clean', function (): void {
    $arm = [...array_fill(0, 10, 0.0), 0.9, 1.0, 1.0, ...array_fill(0, 11, 0.0)];
    $table = [...array_fill(0, 21, 0.0), 1.0, 1.0, 1.0];
    expect(matte([])->cutOff())->toBeNull()->and(matte([])->unclean())->toBeNull()
        ->and(matte(['right' => $arm])->cutOff())->toBe('cut at the right edge')
        ->and(matte(['left' => $arm, 'top' => $arm])->cutOff())->toBe('cut at the left and top edge')
        ->and(matte(['left' => $table])->cutOff())->toBeNull()
        ->and(matte(['left' => array_fill(0, 24, 1.0)])->cutOff())->toBeNull()
        ->and(matte(['left' => array_fill(0, 24, 1.0)])->unclean())->toBe('no backing at the left edge')
        ->and(matte([], 0.2)->unclean())->toBe('20 % is neither kept nor cut')
        ->and(matte(['left' => ['x', null, []], 'right' => 'no'])->cutOff())->toBeNull();
});

it('says so when it lasts, and takes it back', function (): void {
    $arm = ['left' => [...array_fill(0, 10, 0.0), 1, 1, 1, 1, ...array_fill(0, 10, 0.0)], 'right' => [], 'top' => [], 'between' => 0];
    expect(watchOf(['matte' => $arm], 1)->finding()?->signal)->toBe(Signal::Live)
        ->and(watchOf(['matte' => $arm], 4)->finding()?->signal)->toBe(Signal::CutOff)
        ->and(watchOf(['matte' => $arm], 4)->finding()?->measured)->toBe('cut at the left edge')
        ->and(watchOf(['matte' => $arm], 4, wellAfter: 3)->finding()?->signal)->toBe(Signal::Live);
});

it('puts what is behind into the plan, and counts it as seen', function (): void {
    $sources = array_column([camera('face'), camera('bench')], null, 'id');
    $plan = fn (Handling $handling) => (new Composer(Canvas::usual(), $sources, Handlings::none()->with('face', $handling)))->compose(picture('p', ['large' => 'face']));
    $keyed = $plan(new Handling(Framing::none(), key: new ChromaKey(CLOTH), backdrop: Backdrop::of('bench')));
    expect(array_column($keyed->layers, 'source'))->toBe(['bench', 'face'])
        ->and($keyed->visibleSources())->toBe(['bench', 'face']);
    $flat = $plan(new Handling(Framing::none(), backdrop: Backdrop::of('#00FF00')));
    expect($flat->layers[0]->fill)->toBe('#00ff00')->and($flat->layers[0]->dest->toArray())->toEqual(Canvas::usual()->size->asRect()->toArray());
    // without a key nothing of it is seen
    expect($plan(new Handling(Framing::none(), backdrop: Backdrop::of('bench')))->visibleSources())->toBe(['face'])
        ->and($plan(new Handling(Framing::none(), backdrop: Backdrop::of('gone')))->layers)->toHaveCount(1);
});

it('keys, sets and lets go by the same command, and says it', function (): void {
    $say = fn (Desk $desk, array $wish) => handled($desk, ['type' => 'handle', 'source' => 'face', ...$wish]);
    $keyed = $say(Desk::empty(), ['key' => ['colour' => '#2b9a80'], 'behind' => 'bench']);
    expect($keyed->events[0]->detail)->toBe('backing #2b9a80 keyed, another source behind it');
    $set = $say($keyed->desk, ['key' => ['tolerance' => 0.4, 'cut' => ['left' => 0.1, 'top' => 0, 'right' => 0.2, 'bottom' => 0]]]);
    expect($set->desk->handlings->of('face')->key?->inside->toArray())->toEqualWithDelta(['x' => 0.1, 'y' => 0, 'width' => 0.7, 'height' => 1], 1e-9)
        ->and($set->desk->handlings->of('face')->key?->colour)->toBe(CLOTH)
        ->and(Desk::fromArray(json_decode((string) json_encode($set->desk->toArray()), true)))->toEqual($set->desk);
    $off = $say($set->desk, ['key' => false, 'behind' => false]);
    expect($off->desk->handlings->of('face'))->toEqual(Handling::none())->and($off->events[0]->detail)->toBe('backing not keyed any more, nothing behind it');
    expect(fn () => $say(Desk::empty(), ['key' => ['tolerance' => 0.4]]))->toThrow(Refusal::class, 'Pick the backing first')
        ->and(fn () => $say(Desk::empty(), ['behind' => 'face']))->toThrow(Refusal::class, 'behind itself')
        ->and(fn () => $say(Desk::empty(), ['behind' => ['x']]))->toThrow(BadInput::class, 'behind');
});

it('reads the edges of a turned source as they are seen', function (string $orientation, array $crop): void {
    $framing = Framing::none()->with(Fields::of(['orientation' => $orientation, 'cut' => ['left' => 0.1, 'top' => 0.2, 'right' => 0.3, 'bottom' => 0.0]]));
    expect($framing->crop->toArray())->toEqualWithDelta(array_combine(['x', 'y', 'width', 'height'], $crop), 1e-9);
    $size = $framing->orientation->size(new Size(1000, 500));
    expect($framing->edges(new Size(1000, 500)))->toBe(['left' => (int) (0.1 * $size->width), 'top' => (int) (0.2 * $size->height), 'right' => (int) round(0.3 * $size->width), 'bottom' => 0, 'width' => (int) $size->width, 'height' => (int) $size->height]);
})->with([
    'upright' => ['r0', [0.1, 0.2, 0.6, 0.8]],
    'mirrored' => ['r0m', [0.3, 0.2, 0.6, 0.8]],
    'upside down' => ['r180', [0.3, 0.0, 0.6, 0.8]],
    'to the right' => ['r90', [0.2, 0.3, 0.8, 0.6]],
    'to the left' => ['r270', [0.0, 0.1, 0.8, 0.6]],
]);

it('refuses a crop that leaves nearly nothing', function (): void {
    expect(fn () => Framing::none()->with(Fields::of(['cut' => ['left' => 0.5, 'top' => 0, 'right' => 0.49, 'bottom' => 0]])))->toThrow(BadInput::class, '2 %');
});
