<?php

use App\Shows\PressTableText;
use Rhetorix\Core\Support\Refusal;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Switching\Rules\PressTable;

/** The desk after presses at moments: "1000 take B 500" is a press at 1000 ms. */
function deskAfter(string ...$presses): Desk
{
    $desk = Desk::empty();
    foreach ($presses as $i => $words) {
        [$ms, $press] = explode(' ', $words, 2);
        $desk = $desk->apply(press($press, "c{$i}"), at((int) $ms))->desk;
    }

    return $desk;
}

/** As in "A over B": what the audience sees, and what is next. A flight is "A>B". */
function told(Desk $desk, int $ms): string
{
    $desk = $desk->settled(at($ms))->desk;

    return implode('>', $desk->onAir()).' / '.($desk->preview() ?? '-');
}

// The table command x state -> result, cell by cell. A is on program and B in preview to begin with.
const AT_REST = ['0 cut A', '0 arm B'];
const IN_FLIGHT = ['0 cut A', '0 take B 1000'];          // A -> B, B shown as next
const IN_FLIGHT_ARMED = ['0 cut A', '0 take B 1000', '100 arm C']; // the same, with C prepared meanwhile
const WITH_QUEUE = ['0 cut A', '0 take B 1000', '100 take C 400'];  // C waits for its turn
const BY_HAND = ['0 cut A', '0 arm B', '0 fade B 400 Mara'];       // A -> B, held at 400 of 1000 by Mara
const LET_GO = [...BY_HAND, '100 let-go Mara'];                    // the same, nobody's hand on the fader
const GOING_BACK = ['0 cut A', '0 take B 1000', '400 back'];       // at 300 of 1000 when it is 500 ms

it('does what the table says', function (array $before, string $press, string $at500, string $at5000): void {
    $desk = deskAfter(...$before)->apply(press($press), at(500))->desk;
    expect(told($desk, 500))->toBe($at500)->and(told($desk, 5000))->toBe($at5000);
})->with([
    'arm, at rest' => [AT_REST, 'arm C', 'A / C', 'A / C'],
    'arm what is next' => [AT_REST, 'arm B', 'A / B', 'A / B'],
    'arm what is on air' => [AT_REST, 'arm A', 'A / A', 'A / A'],
    'cut to next' => [AT_REST, 'cut B', 'B / A', 'B / A'],
    'cut elsewhere' => [AT_REST, 'cut C', 'C / A', 'C / A'],
    'cut to what is on air' => [AT_REST, 'cut A', 'A / B', 'A / B'],
    'direct keeps what was prepared' => [AT_REST, 'direct C', 'C / B', 'C / B'],
    'direct to next' => [AT_REST, 'direct B', 'B / A', 'B / A'],
    'direct to what is on air' => [AT_REST, 'direct A', 'A / B', 'A / B'],
    'take next' => [AT_REST, 'take B 1000', 'A>B / B', 'B / A'],
    'take elsewhere' => [AT_REST, 'take C 1000', 'A>C / C', 'C / A'],
    'take what is on air' => [AT_REST, 'take A 1000', 'A / B', 'A / B'],
    'cover' => [AT_REST, 'cover', 'holding / B', 'holding / B'],
    'uncover when it is not covered' => [AT_REST, 'uncover', 'A / B', 'A / B'],

    'in flight, arm' => [IN_FLIGHT, 'arm C', 'A>B / C', 'B / C'],
    'in flight, arm the outgoing' => [IN_FLIGHT, 'arm A', 'A>B / A', 'B / A'],
    'in flight, cut to the incoming ends it' => [IN_FLIGHT, 'cut B', 'B / A', 'B / A'],
    'in flight, cut back' => [IN_FLIGHT, 'cut A', 'A / B', 'A / B'],
    'in flight, cut elsewhere' => [IN_FLIGHT, 'cut C', 'C / B', 'C / B'],
    'in flight, direct to the incoming' => [IN_FLIGHT, 'direct B', 'B / A', 'B / A'],
    'in flight, direct elsewhere' => [IN_FLIGHT, 'direct C', 'C / B', 'C / B'],
    'in flight, take of the incoming goes on' => [IN_FLIGHT, 'take B 1000', 'A>B / B', 'B / A'],
    'in flight, take back waits' => [IN_FLIGHT, 'take A 1000', 'A>B / A', 'A / B'],
    'in flight, take elsewhere waits' => [IN_FLIGHT, 'take C 1000', 'A>B / C', 'C / B'],
    'in flight, cover' => [IN_FLIGHT, 'cover', 'holding / B', 'holding / A'],

    'in flight with C prepared, cut to the incoming' => [IN_FLIGHT_ARMED, 'cut B', 'B / C', 'B / C'],
    'in flight with C prepared, direct C' => [IN_FLIGHT_ARMED, 'direct C', 'C / B', 'C / B'],
    'in flight with C prepared, direct elsewhere' => [IN_FLIGHT_ARMED, 'direct D', 'D / C', 'D / C'],
    'in flight with C prepared, nothing' => [IN_FLIGHT_ARMED, 'uncover', 'A>B / C', 'B / C'],

    'at rest, back' => [AT_REST, 'back', 'A / B', 'A / B'],
    'at rest, undo of the arming' => [AT_REST, 'unarm', 'A / holding', 'A / holding'],
    'nothing armed, undo of the arming' => [['0 cut A'], 'unarm', 'A / holding', 'A / holding'],
    'at rest, the fader leaves its end' => [AT_REST, 'fade B 1', 'A>B / B', 'A>B / B'],
    'at rest, the fader stays at its end' => [AT_REST, 'fade B 0', 'A / B', 'A / B'],
    'at rest, the fader at a stroke' => [AT_REST, 'fade B 1000', 'B / A', 'B / A'],
    'at rest, the fader towards what is on air' => [AT_REST, 'fade A 500', 'A / B', 'A / B'],
    'at rest, letting go' => [AT_REST, 'let-go Mara', 'A / B', 'A / B'],

    'in flight, back' => [IN_FLIGHT, 'back', 'A>B / B', 'A / B'],
    'in flight, the fader takes it' => [IN_FLIGHT, 'fade B 500', 'A>B / B', 'A>B / B'],
    'in flight, the fader takes it, from a screen that has not seen it' => [IN_FLIGHT, 'fade D 500', 'A>B / B', 'A>B / B'],
    'in flight, the fader to the end' => [IN_FLIGHT, 'fade B 1000', 'B / A', 'B / A'],
    'in flight, the fader to the beginning' => [IN_FLIGHT, 'fade B 0', 'A / B', 'A / B'],
    'in flight, undo of an arming' => [IN_FLIGHT_ARMED, 'unarm', 'A>B / B', 'B / A'],
    'with a queue, back forgets it' => [WITH_QUEUE, 'back', 'A>B / C', 'A / C'],
    'with a queue, the fader to the end' => [WITH_QUEUE, 'fade B 1000', 'B>C / C', 'C / B'],

    'by hand, nothing more' => [BY_HAND, 'uncover', 'A>B / B', 'A>B / B'],
    'by hand, arm never moves program' => [BY_HAND, 'arm C', 'A>B / C', 'A>B / C'],
    'by hand, the same hand' => [BY_HAND, 'fade B 700 Mara', 'A>B / B', 'A>B / B'],
    'by hand, the same hand to the end' => [BY_HAND, 'fade B 1000 Mara', 'B / A', 'B / A'],
    'by hand, the same hand to the beginning' => [BY_HAND, 'fade B 0 Mara', 'A / B', 'A / B'],
    'by hand, another hand does nothing' => [BY_HAND, 'fade B 1000 Juno', 'A>B / B', 'A>B / B'],
    'by hand, another hand lets go' => [BY_HAND, 'let-go Juno', 'A>B / B', 'A>B / B'],
    'by hand, take goes on' => [BY_HAND, 'take B 1000', 'A>B / B', 'B / A'],
    'by hand, take of the outgoing goes back' => [BY_HAND, 'take A 1000', 'A>B / B', 'A / B'],
    'by hand, take elsewhere goes on and waits' => [BY_HAND, 'take C 1000', 'A>B / C', 'C / B'],
    'by hand, back' => [BY_HAND, 'back', 'A>B / B', 'A / B'],
    'by hand, cut to the incoming' => [BY_HAND, 'cut B', 'B / A', 'B / A'],
    'by hand, cut back' => [BY_HAND, 'cut A', 'A / B', 'A / B'],
    'by hand, direct elsewhere' => [BY_HAND, 'direct C', 'C / B', 'C / B'],
    'by hand, cover' => [BY_HAND, 'cover', 'holding / B', 'holding / B'],
    'let go half way, it stays' => [LET_GO, 'let-go Mara', 'A>B / B', 'A>B / B'],
    'let go half way, another hand takes it' => [LET_GO, 'fade B 1000 Juno', 'B / A', 'B / A'],

    'going back, back again' => [GOING_BACK, 'back', 'A>B / B', 'A / B'],
    'going back, take turns it round' => [GOING_BACK, 'take B 1000', 'A>B / B', 'B / A'],
    'going back, take of where it goes' => [GOING_BACK, 'take A 1000', 'A>B / B', 'A / B'],
    'going back, take elsewhere' => [GOING_BACK, 'take C 1000', 'A>B / C', 'C / B'],
    'going back, the fader takes it' => [GOING_BACK, 'fade B 300', 'A>B / B', 'A>B / B'],
    'going back, cut to the incoming' => [GOING_BACK, 'cut B', 'B / A', 'B / A'],
    'going back, cut elsewhere' => [GOING_BACK, 'cut C', 'C / B', 'C / B'],
    'going back, arm' => [GOING_BACK, 'arm C', 'A>B / C', 'A / C'],

    'with a queue, the incoming again empties it' => [WITH_QUEUE, 'take B 1000', 'A>B / C', 'B / C'],
    'with a queue, a later take replaces it' => [WITH_QUEUE, 'take D 1000', 'A>B / D', 'D / B'],
    'with a queue, a cut empties it' => [WITH_QUEUE, 'cut D', 'D / B', 'D / B'],
]);

it('never jumps: whatever moves a flight takes it from where it is', function (array $before, string $press, float $at500, int $ends): void {
    $desk = deskAfter(...$before);
    $was = $desk->settled(at(500))->desk->flight()?->progress(at(500));
    $flight = $desk->apply(press($press), at(500))->desk->flight();
    expect($was)->toEqualWithDelta($at500, 1e-9)->and($flight?->progress(at(500)))->toEqualWithDelta($at500, 1e-9)->and($flight?->ends()?->ms)->toBe($ends);
})->with([
    'back' => [IN_FLIGHT, 'back', 0.5, 1000],
    'take from the hand' => [BY_HAND, 'take B 1000', 0.4, 1100],
    'back from the hand' => [BY_HAND, 'back', 0.4, 900],
    'take on the way back' => [GOING_BACK, 'take B 1000', 0.3, 1200],
    'a hand that lets go' => [LET_GO, 'take B 1000', 0.4, 1100],
]);

it('leaves the fader to the first hand until it rests for a while', function (): void {
    $desk = deskAfter(...BY_HAND);
    $moved = fn (int $ms): ?float => $desk->apply(press('fade B 900 Juno'), at($ms))->desk->flight()?->progress(at($ms));
    expect($moved(7_999))->toBe(0.4)->and($moved(8_000))->toBe(0.9);
});

it('turns the way of the fader at each completed change by fader or take, and only then', function (): void {
    $way = fn (string ...$presses): mixed => deskAfter('0 cut A', '0 arm B', ...$presses)->settled(at(9000))->desk->toArray()['way'];
    expect($way())->toBe('up')
        ->and($way('10 take B 500'))->toBe('down')
        ->and($way('10 fade B 500', '20 fade B 1000'))->toBe('down')
        ->and($way('10 fade B 500', '20 fade B 1000', '30 fade A 400', '40 fade A 1000'))->toBe('up')
        ->and($way('10 fade B 500', '20 fade B 0'))->toBe('up')
        ->and($way('10 take B 500', '20 back'))->toBe('up')
        ->and($way('10 cut B'))->toBe('up');
});

it('remembers the last ten programs, each once', function (): void {
    $presses = [];
    foreach (str_split('ABCDEFGHIJKLMBA') as $i => $letter) {
        $presses[] = "{$i} cut {$letter}";
    }
    expect(deskAfter(...$presses)->past)->toBe(['B', 'M', 'L', 'K', 'J', 'I', 'H', 'G', 'F', 'E']);
});

it('begins a waiting take exactly when the flight ends', function (): void {
    $desk = deskAfter(...WITH_QUEUE);

    expect(told($desk, 999))->toBe('A>B / C')
        ->and(told($desk, 1000))->toBe('B>C / C')
        ->and($desk->settled(at(1000))->desk->flight()?->progress(at(1200)))->toBe(0.5)
        ->and(told($desk, 1399))->toBe('B>C / C')
        ->and(told($desk, 1400))->toBe('C / B')
        ->and(array_map(fn ($event) => [$event->at->ms, $event->what, $event->subject], $desk->settled(at(9000))->events))
        ->toBe([[1000, 'transition', 'C'], [1400, 'arrived', 'C']]);
});

it('goes on beneath the cover, and uncovers what is there by then', function (): void {
    $desk = deskAfter('0 cut A', '0 arm B', '100 cover', '200 take B 1000', '300 arm C');

    expect(told($desk, 500))->toBe('holding / C')->and($desk->showing()->sound)->toBeFalse()
        ->and(told(deskAfter('0 cut A', '100 cover', '200 take B 1000', '700 uncover'), 700))->toBe('A>B / B')
        ->and(told(deskAfter('0 cut A', '0 arm B', '100 cover', '900 uncover'), 900))->toBe('A / B');
});

it('lets go of a deleted picture in preview, but not of one on air', function (): void {
    expect(told(deskAfter('0 cut A', '0 arm B', '1 forget B'), 2))->toBe('A / -')
        ->and(fn () => deskAfter('0 cut A', '1 forget A'))->toThrow(Refusal::class, 'on program')
        ->and(fn () => deskAfter(...[...IN_FLIGHT, '10 forget B']))->toThrow(Refusal::class)
        ->and(fn () => deskAfter(...[...WITH_QUEUE, '200 forget C']))->toThrow(Refusal::class);
});

it('has the holding card on program when a show begins', function (): void {
    expect(told(Desk::empty(), 0))->toBe('holding / -');
});

it('is never blank and never stuck, whatever is pressed', function (): void {
    mt_srand(7);
    $desk = Desk::empty();
    $now = 0;
    for ($i = 0; $i < 4000; $i++) {
        $now += mt_rand(0, 700);
        $press = randomPress();
        $desk = $desk->apply(press($press, "c{$i}"), at($now))->desk;
        expect($desk->onAir())->not->toBeEmpty()->each->toBeIn(['A', 'B', 'C', 'D', 'holding']);
        $flight = $desk->flight();
        if ($flight !== null) {
            expect($flight->from)->not->toBe($flight->to)->and($flight->ends()->ms ?? PHP_INT_MAX)->toBeGreaterThan($now);
        }
    }
    expect($desk->apply(press('back'), at($now))->desk->settled(at($now + 30_000))->desk->flight())->toBeNull();
});

it('comes back from storage as it was, and replays to the same desk', function (): void {
    mt_srand(11);
    $desk = Desk::empty();
    $log = [];
    $now = 0;
    for ($i = 0; $i < 300; $i++) {
        $now += mt_rand(0, 900);
        $press = press(randomPress(), "c{$i}");
        $log[] = [$press, at($now)];
        $desk = Desk::fromArray(json_decode((string) json_encode($desk->toArray()), true))->apply($press, at($now))->desk;
    }
    $replayed = array_reduce($log, fn (Desk $d, array $entry) => $d->apply(...$entry)->desk, Desk::empty());

    expect($replayed->toArray())->toEqual($desk->toArray());
});

it('never jumps but by a cut, a straight press or cover, in any cell of the table', function (): void {
    foreach (PressTable::cells() as $press => $states) {
        foreach ($states as $state => $cell) {
            $was = match ($state) {
                'A changes to B', 'A changes to B, C waits' => 50, 'in our hand', 'in another hand', 'left half way' => 40, 'going back to A' => 30, default => null,
            };
            if ($was === null || preg_match('/^(cut|straight|cover|fader)/', $press) === 1) {
                continue;
            }
            expect($cell)->toStartWith("A to B at {$was} %", "{$press}, {$state}");
        }
    }
    expect(PressTable::cells()['fader to its end']['in another hand'])->toStartWith('A to B at 40 % by hand');
});

it('is what docs/presses.md says', function (): void {
    expect(file_get_contents(__DIR__.'/../../docs/presses.md'))->toBe(PressTableText::markdown());
});
