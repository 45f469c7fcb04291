<?php

use Rhetorix\Core\Control\Controls;
use Rhetorix\Core\Control\DeskActions;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Corner;
use Rhetorix\Core\Layout\FullLayout;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\KeyPlaces;
use Rhetorix\Core\Picture\Picture;
use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Command\CommandReader;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Switching\Inset\Inset;
use Rhetorix\Core\Switching\Tally;
use Rhetorix\Core\Switching\Transition\Easing;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Switching\Transition\TransitionKind;
use Rhetorix\Core\Time\FrameRate;
use Rhetorix\Core\Time\Milliseconds;

function controls(array $wish): Controls
{
    return Controls::fromFields(Fields::of(json_decode((string) json_encode($wish), true)));
}

it('gives every card and every press of the desk a name, and no key to two of them', function (): void {
    $actions = DeskActions::all();
    expect($actions)->toHaveKeys(['take', 'cut', 'cover', 'fader', 'fader-up', 'arm-Q', 'direct-Q', 'inset-full', 'favourite-1', 'page-next'])
        ->and($actions['take']->key)->toBe('KeyL')->and($actions['cut']->key)->toBe('KeyK')->and($actions['cover']->key)->toBe('Semicolon')
        ->and($actions['fader-up']->key)->toBe('ArrowUp')
        ->and(Controls::usual()->conflicts())->toBe([]);
    foreach ([...KeyPlaces::all(), KeyPlaces::HOLDING] as $place) {
        expect($actions)->toHaveKey("arm-{$place}");
    }
});

it('says which actions are on one key or note, and frees what is taken off', function (): void {
    $mine = controls(['keys' => ['cut' => 'KeyL', 'cover' => null], 'others' => ['take' => 'note 1 60', 'cut' => 'note 1 60', 'fader' => 'control 16 127']]);

    expect($mine->conflicts())->toBe(['KeyL' => ['take', 'cut'], 'note 1 60' => ['take', 'cut']])
        ->and($mine->keys()['cover'])->toBeNull()->and($mine->keys()['take'])->toBe('KeyL')
        ->and(controls(json_decode((string) json_encode($mine->toArray()), true))->page())->toEqual($mine->page());
});

it('names a binding that is none', function (array $wish, string $says): void {
    expect(fn () => controls($wish))->toThrow(BadInput::class, $says);
})->with([
    'unknown action' => [['keys' => ['explode' => 'KeyL']], 'keys.explode'],
    'no key' => [['keys' => ['cut' => 'the big one']], 'keys.cut'],
    'a note outside MIDI' => [['others' => ['cut' => 'note 1 128']], 'others.cut'],
    'a channel outside MIDI' => [['others' => ['cut' => 'control 17 1']], 'others.cut'],
    'something else' => [['mouse' => []], 'mouse'],
]);

it('names a transition by everything that was chosen about it', function (): void {
    $usual = new Transition(TransitionKind::WipeRight, Milliseconds::of(500));
    $soft = new Transition(TransitionKind::WipeRight, Milliseconds::of(500), Easing::Linear, 300);
    $dip = new Transition(TransitionKind::Dip, Milliseconds::of(500), colour: '#ffffff');

    expect($usual->key())->toBe('wipe-right')
        ->and((new Transition(TransitionKind::Mix, Milliseconds::of(500), soft: 400, colour: '#ffffff'))->key())->toBe('mix')
        ->and(Transition::ofKey($soft->key(), Milliseconds::of(500)))->toEqual($soft)
        ->and(Transition::ofKey($dip->key(), Milliseconds::of(500)))->toEqual($dip)
        ->and($dip->plan()->colour)->toBe('#ffffff')
        ->and($soft->plan()->reveal?->soft)->toBe(0.3)
        ->and(fn () => Transition::ofKey('wipe-right~sideways~20~#000000', Milliseconds::of(500)))->toThrow(BadInput::class)
        ->and(fn () => Transition::ofKey('explode', Milliseconds::of(500)))->toThrow(BadInput::class)
        ->and(fn () => Transition::ofKey('dip~linear~20~red', Milliseconds::of(500)))->toThrow(BadInput::class);
});

it('keeps chosen transitions with the desk', function (): void {
    $reader = new CommandReader(new FrameRate(30), new Size(1280, 720));
    $desk = Desk::empty()->apply($reader->read(['id' => 'a', 'type' => 'favourites', 'transitions' => [['kind' => 'dip', 'frames' => 15, 'colour' => '#ffffff', 'easing' => 'linear']]]), at(0))->desk
        ->apply($reader->read(['id' => 'b', 'type' => 'choose', 'transition' => ['kind' => 'wipe-clock', 'duration_ms' => 700, 'soft' => 250]]), at(1))->desk;
    $again = Desk::fromArray(json_decode((string) json_encode($desk->toArray()), true));

    expect($again->favourites)->toHaveCount(1)->and($again->favourites[0]->label())->toBe('Dip 0.5 s')
        ->and($again->favourites[0]->plan()->at(0.5)->of('colour.opacity'))->toEqualWithDelta(1.0, 1e-6)
        ->and($again->chosen->key())->toBe('wipe-clock~ease-in-out~250~#000000')
        ->and(fn () => $reader->read(['id' => 'c', 'type' => 'favourites', 'transitions' => array_fill(0, 9, ['kind' => 'mix', 'frames' => 9])]))->toThrow(BadInput::class, 'at most 8');
});

it('puts the inset into corners within the canvas, at every size', function (Size $canvas): void {
    foreach (Corner::cases() as $corner) {
        foreach (Inset::WIDTHS as $width) {
            $rect = Inset::corner($corner, $width, $canvas);
            expect($rect->x)->toBeGreaterThan(0)->and($rect->y)->toBeGreaterThan(0)->and($rect->right())->toBeLessThan($canvas->width)->and($rect->bottom())->toBeLessThan($canvas->height)
                ->and($rect->width / $rect->height)->toEqualWithDelta($canvas->width / $canvas->height, 0.02);
        }
    }
})->with([[new Size(1280, 720)], [new Size(720, 1280)], [new Size(1024, 768)]]);

it('lets the inset come, travel and go in its own time, over whatever is beneath', function (): void {
    $size = new Size(1280, 720);
    $desk = Desk::empty()->apply(press('cut A'), at(0))->desk->apply(press('inset over camB'), at(1000))->desk;
    $opacity = fn (Desk $desk, int $ms): ?float => $desk->inset($size, at($ms))?->opacity;
    expect($opacity($desk, 1000))->toBeNull()
        ->and($opacity($desk, 1150))->toEqualWithDelta(0.5, 1e-6)
        ->and($opacity($desk, 1300))->toBe(1.0)
        ->and($opacity($desk->apply(press('cut B'), at(1100))->desk, 1150))->toEqualWithDelta(0.5, 1e-6)
        ->and($desk->apply(press('cover'), at(1400))->desk->inset($size, at(1500)))->toBeNull();

    $full = $desk->apply(press('inset full'), at(2000))->desk;
    expect($full->inset($size, at(2150))?->rect->width)->toEqualWithDelta((307 + 1280) / 2, 1)
        ->and($full->inset($size, at(2300))?->fills($size))->toBeTrue();
    $off = $full->apply(press('inset off'), at(3000))->desk;
    expect($off->inset($size, at(3150)))->not->toBeNull()->and($off->inset($size, at(3300)))->toBeNull();
    // without anybody to show, nothing happens
    expect(Desk::empty()->apply(press('inset over'), at(0))->desk->toArray()['inset'])->toBe('off');
});

it('turns the inset from where it is when a press comes while it travels: it never jumps', function (): void {
    $size = new Size(1280, 720);
    $presses = ['inset over camB', 'inset.place 40 40 500', 'inset full', 'inset off', 'inset over', 'inset.place 900 500 200', 'inset full', 'inset over', 'inset off'];
    $desk = Desk::empty()->apply(press('cut A'), at(0))->desk;
    foreach ($presses as $i => $words) {
        $now = 1000 + 110 * $i;
        $before = $desk->inset($size, at($now));
        $desk = $desk->apply(press($words), at($now))->desk;
        $after = $desk->inset($size, at($now));
        expect($after?->opacity ?? 0)->toEqualWithDelta($before?->opacity ?? 0, 0.001, $words);
        if ($before !== null && $after !== null) {
            expect(max(abs($after->rect->x - $before->rect->x), abs($after->rect->y - $before->rect->y), abs($after->rect->width - $before->rect->width)))->toBeLessThanOrEqual(0.5, $words)
                ->and($after->trim)->toEqualWithDelta($before->trim, 0.001, $words);
        }
    }
    expect($desk->inset($size, at(2500)))->toBeNull();
});

it('proposes the first person of the desk for the inset, and keeps to who was chosen', function (): void {
    $people = new Picture('P', 'Both', Group::People, new FullLayout(), ['large' => 'camC']);
    expect(bookOf(more: [$people])->insetSource())->toBe('camC')
        ->and(bookOf(more: [$people])->insetSource('camB'))->toBe('camB')
        ->and(bookOf(more: [$people])->insetSource('gone'))->toBe('camC')
        ->and(bookOf()->insetSource())->toBe('camA')
        ->and(PlanBook::of(Canvas::usual(), 'Empty', [], [])->insetSource('gone'))->toBeNull();
});

it('covers a change with a clip as long as a transition may last', function (): void {
    expect(array_map(fn (int $ms): int => Transition::coveredBy(Milliseconds::of($ms))->count, [1, 40, 3000, 10_000, 60_000]))->toBe([40, 40, 3000, 10_000, 10_000]);
});

it('counts the inset in the tally, and what it hides no more', function (): void {
    $desk = Desk::empty()->apply(press('cut A'), at(0))->desk->apply(press('inset over camB'), at(10))->desk;
    $on = fn (Desk $desk, int $ms): array => array_keys(array_filter(Tally::of($desk, bookOf(), at($ms))->sources, fn ($state): bool => $state->value === 'program'));
    expect($on($desk, 1000))->toBe(['camA', 'camB'])
        ->and($on($desk->apply(press('inset full'), at(1000))->desk, 2000))->toBe(['camB'])
        ->and($on($desk->apply(press('inset off'), at(1000))->desk, 2000))->toBe(['camA'])
        ->and($on($desk->apply(press('cover'), at(1000))->desk, 2000))->toBe([]);
});

it('holds a place that somebody asks for within the canvas', function (): void {
    $reader = new CommandReader(new FrameRate(30), new Size(1280, 720));
    $place = function (array $wish) use ($reader): array {
        $press = $reader->read(['id' => 'x', 'type' => 'inset.place', ...$wish]);

        return $press instanceof Press ? array_intersect_key($press->more, ['x' => 1, 'y' => 1, 'width' => 1]) : [];
    };
    expect($place(['x' => 5000, 'y' => -70, 'width' => 320]))->toBe(['x' => 960, 'y' => 0, 'width' => 320])
        ->and(fn () => $place(['x' => 0, 'y' => 0, 'width' => 0]))->toThrow(BadInput::class, 'width')
        ->and(fn () => $place(['x' => 0.5, 'y' => 0, 'width' => 300]))->toThrow(BadInput::class)
        ->and(fn () => $reader->read(['id' => 'x', 'type' => 'inset', 'mode' => 'sideways']))->toThrow(BadInput::class, 'off, over, full')
        ->and(fn () => $reader->read(['id' => 'x', 'type' => 'fade', 'picture' => 'A', 'position' => 1001, 'holder' => 'm']))->toThrow(BadInput::class);
});

it('changes under a clip at its marked frame, never before and never after', function (): void {
    $clip = new Transition(TransitionKind::Clip, Milliseconds::of(1200), clip: 'a-source', mark: 400);
    $shown = fn (float $p): float => $clip->plan()->at($p)->of('incoming.opacity');

    expect($clip->key())->toBe('clip~400~a-source')->and(Transition::ofKey($clip->key(), Milliseconds::of(1200)))->toEqual($clip)
        ->and($clip->plan()->clip)->toBe('a-source')
        ->and([$shown(0.0), $shown(0.399), $shown(0.4), $shown(0.4001), $shown(1.0)])->toBe([0.0, 0.0, 0.0, 1.0, 1.0])
        ->and($clip->plan()->at(0.4)->of('outgoing.gain'))->toEqualWithDelta(0.5, 1e-9)
        ->and(fn () => Transition::fromFields(Fields::of(['kind' => 'clip', 'duration_ms' => 900]), new FrameRate(30)))->toThrow(BadInput::class, 'clip')
        ->and(fn () => Transition::ofKey('clip~400~../etc', Milliseconds::of(900)))->toThrow(BadInput::class);
});
