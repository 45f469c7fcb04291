<?php

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Transition\CubicBezier;
use Rhetorix\Core\Switching\Transition\Easing;
use Rhetorix\Core\Switching\Transition\Reveal;
use Rhetorix\Core\Switching\Transition\Track;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Switching\Transition\TransitionKind;
use Rhetorix\Core\Switching\Transition\TransitionPlan;
use Rhetorix\Core\Time\FrameRate;

it('follows the easing curves of the standard', function (Easing $easing): void {
    $curve = $easing->curve();
    expect($curve->at(0))->toBe(0.0)->and($curve->at(1))->toBe(1.0)->and($curve->at(-1))->toBe(0.0)->and($curve->at(2))->toBe(1.0);
    $last = 0.0;
    for ($p = 0.0; $p <= 1.0; $p += 0.01) {
        expect($curve->at($p))->toBeGreaterThanOrEqual($last - 1e-12);
        $last = $curve->at($p);
    }
})->with(Easing::cases());

it('is symmetrical where the curve is', function (): void {
    $curve = Easing::EaseInOut->curve();
    foreach ([0.1, 0.25, 0.4, 0.5] as $p) {
        expect($curve->at($p) + $curve->at(1 - $p))->toEqualWithDelta(1.0, 1e-9);
    }
    expect(Easing::Linear->curve()->at(0.3))->toEqualWithDelta(0.3, 1e-9);
    expect(fn () => new CubicBezier(-0.1, 0, 1, 1))->toThrow(DomainException::class);
});

it('stays within half a level of 8 bits of the curve between its keyframes', function (Easing $easing): void {
    $curve = $easing->curve();
    $track = Track::along('incoming', 'opacity', $curve->at(...));
    for ($i = 0; $i <= 2000; $i++) {
        expect(abs($track->at($i / 2000) - $curve->at($i / 2000)))->toBeLessThan(0.5 / 255);
    }
})->with(Easing::cases());

it('begins with all of the old and ends with all of the new, in picture and sound', function (TransitionKind $kind): void {
    $plan = TransitionPlan::of($kind);
    $seen = function (float $p) use ($plan): array {
        $blend = $plan->at($p);
        $edge = $blend->toArray()['incoming.edge'];
        $incoming = $blend->of('incoming.opacity') * ($edge ?? 1.0) * ($blend->of('incoming.x') === 0.0 && $blend->of('incoming.y') === 0.0 ? 1 : 0);

        return ['incoming' => $incoming, 'colour' => $blend->of('colour.opacity'), 'outgoing sound' => $blend->of('outgoing.gain'), 'incoming sound' => $blend->of('incoming.gain')];
    };
    expect($seen(0))->toEqual(['incoming' => 0, 'colour' => 0, 'outgoing sound' => 1, 'incoming sound' => 0])
        ->and($seen(1))->toEqual(['incoming' => 1, 'colour' => 0, 'outgoing sound' => 0, 'incoming sound' => 1]);
    foreach ([0.1, 0.37, 0.8] as $p) {
        expect($plan->at($p)->of('outgoing.gain') + $plan->at($p)->of('incoming.gain'))->toBeLessThanOrEqual(1.00001);
    }
})->with(TransitionKind::cases());

it('pushes the old picture out as far as the new one has come in, and slides the new one over it', function (): void {
    foreach ([0.2, 0.5, 0.9] as $p) {
        $push = TransitionPlan::of(TransitionKind::PushLeft)->at($p);
        expect($push->of('incoming.x') - $push->of('outgoing.x'))->toEqualWithDelta(1.0, 1e-5)->and($push->of('incoming.y'))->toBe(0.0);
        $slide = TransitionPlan::of(TransitionKind::SlideDown)->at($p);
        expect($slide->of('outgoing.y'))->toBe(0.0)->and($slide->of('incoming.y'))->toBeLessThan(0.0);
    }
});

it('dips into the colour before anything of the new picture is seen', function (): void {
    $dip = TransitionPlan::of(TransitionKind::Dip, Easing::Linear);
    expect($dip->at(0.25)->of('incoming.opacity'))->toBe(0.0)->and($dip->at(0.25)->of('colour.opacity'))->toEqualWithDelta(0.5, 1e-6)
        ->and($dip->at(0.5)->of('colour.opacity'))->toBe(1.0)->and($dip->at(0.75)->of('incoming.opacity'))->toBe(1.0)->and($dip->colour)->toBe('#000000');
});

it('shows the new picture behind an edge of a shape', function (TransitionKind $kind, array $shown, array $hidden): void {
    $reveal = Reveal::of($kind);
    expect($reveal?->opacityAt($shown[0], $shown[1], 1280, 720, 0.4))->toBe(1.0)->and($reveal?->opacityAt($hidden[0], $hidden[1], 1280, 720, 0.4))->toBe(0.0);
    foreach ([[3, 3], [640, 700], [1270, 20]] as [$x, $y]) {
        expect($reveal?->opacityAt($x, $y, 1280, 720, 0))->toBe(0.0)->and($reveal?->opacityAt($x, $y, 1280, 720, 1))->toBe(1.0);
    }
})->with([
    [TransitionKind::WipeRight, [490, 700], [524, 10]], [TransitionKind::WipeLeft, [800, 20], [750, 20]], [TransitionKind::WipeDown, [10, 270], [1200, 297]], [TransitionKind::WipeUp, [1200, 450], [10, 420]],
    [TransitionKind::WipeDiagonal, [300, 100], [900, 500]], [TransitionKind::WipeIris, [640, 600], [1000, 360]], [TransitionKind::WipeClock, [900, 500], [300, 200]],
]);

it('names shapes after the taxonomy', function (): void {
    expect(TransitionKind::WipeRight->smil())->toMatchArray(['type' => 'barWipe', 'subtype' => 'leftToRight', 'number' => 1])
        ->and(TransitionKind::WipeClock->smil())->toMatchArray(['type' => 'clockWipe', 'number' => 201])
        ->and(TransitionKind::PushLeft->smil())->toMatchArray(['type' => 'pushWipe', 'subtype' => 'fromRight']);
});

it('reads durations in milliseconds or frames', function (): void {
    $read = fn (array $data) => Transition::fromFields(Fields::of($data), new FrameRate(30));

    expect($read(['kind' => 'mix', 'frames' => 25])->duration->count)->toBe(833)
        ->and($read(['kind' => 'mix', 'duration_ms' => 1500])->label())->toBe('Mix 1.5 s')
        ->and(fn () => $read(['kind' => 'mix', 'frames' => 0]))->toThrow(BadInput::class, 'frames')
        ->and(fn () => $read(['kind' => 'mix', 'frames' => 1]))->toThrow(BadInput::class, '0.04 s')
        ->and(fn () => $read(['kind' => 'mix', 'duration_ms' => 999999]))->toThrow(BadInput::class, 'duration_ms')
        ->and(fn () => $read(['kind' => 'fireworks', 'frames' => 25]))->toThrow(BadInput::class, 'mix')
        ->and(fn () => $read(['kind' => 'mix']))->toThrow(BadInput::class, 'missing');
});
