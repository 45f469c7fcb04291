<?php

use Rhetorix\Core\Support\Refusal;
use Rhetorix\Core\Switching\Desk;

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

    'with a queue, the incoming again empties it' => [WITH_QUEUE, 'take B 1000', 'A>B / C', 'B / C'],
    'with a queue, a later take replaces it' => [WITH_QUEUE, 'take D 1000', 'A>B / D', 'D / B'],
    'with a queue, a cut empties it' => [WITH_QUEUE, 'cut D', 'D / B', 'D / B'],
]);

it('begins a waiting take exactly when the flight ends', function (): void {
    $desk = deskAfter(...WITH_QUEUE);

    expect(told($desk, 999))->toBe('A>B / C')
        ->and(told($desk, 1000))->toBe('B>C / C')
        ->and($desk->settled(at(1000))->desk->flight()?->started)->toEqual(at(1000))
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
    $words = ['arm', 'cut', 'direct', 'take'];
    $desk = Desk::empty();
    $now = 0;
    for ($i = 0; $i < 4000; $i++) {
        $now += mt_rand(0, 700);
        $press = mt_rand(0, 9) === 0 ? ['cover', 'uncover'][mt_rand(0, 1)] : $words[mt_rand(0, 3)].' '.'ABCD'[mt_rand(0, 3)].' '.mt_rand(40, 2000);
        $desk = $desk->apply(press($press, "c{$i}"), at($now))->desk;
        expect($desk->onAir())->not->toBeEmpty()->each->toBeIn(['A', 'B', 'C', 'D', 'holding']);
        $flight = $desk->flight();
        if ($flight !== null) {
            expect($flight->from)->not->toBe($flight->to)->and($flight->ends()->ms)->toBeGreaterThan($now);
        }
    }
    expect($desk->settled(at($now + 30_000))->desk->flight())->toBeNull();
});

it('comes back from storage as it was, and replays to the same desk', function (): void {
    mt_srand(11);
    $desk = Desk::empty();
    $log = [];
    $now = 0;
    for ($i = 0; $i < 300; $i++) {
        $now += mt_rand(0, 900);
        $press = press(['arm', 'cut', 'direct', 'take', 'cover', 'uncover'][mt_rand(0, 5)].' '.'ABCD'[mt_rand(0, 3)].' '.mt_rand(40, 1500), "c{$i}");
        $log[] = [$press, at($now)];
        $desk = Desk::fromArray(json_decode((string) json_encode($desk->toArray()), true))->apply($press, at($now))->desk;
    }
    $replayed = array_reduce($log, fn (Desk $d, array $entry) => $d->apply(...$entry)->desk, Desk::empty());

    expect($replayed->toArray())->toEqual($desk->toArray());
});
