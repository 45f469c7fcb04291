<?php

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Transition\CubicBezier;
use Rhetorix\Core\Switching\Transition\Easing;
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

it('mixes from all of the old to all of the new, in picture and sound', function (): void {
    $mix = TransitionPlan::of(TransitionKind::Mix);
    expect($mix->at(0)->toArray())->toBe(['outgoing.opacity' => 1.0, 'incoming.opacity' => 0.0, 'outgoing.gain' => 1.0, 'incoming.gain' => 0.0])
        ->and($mix->at(1)->toArray())->toBe(['outgoing.opacity' => 1.0, 'incoming.opacity' => 1.0, 'outgoing.gain' => 0.0, 'incoming.gain' => 1.0])
        ->and($mix->at(0.5)->incomingOpacity)->toEqualWithDelta(0.5, 1e-6);
    foreach ([0.1, 0.37, 0.8] as $p) {
        expect($mix->at($p)->outgoingGain + $mix->at($p)->incomingGain)->toEqualWithDelta(1.0, 1e-5);
    }
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
