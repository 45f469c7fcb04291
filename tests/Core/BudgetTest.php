<?php

use Rhetorix\Core\Budget\Computer;
use Rhetorix\Core\Budget\Feed;
use Rhetorix\Core\Budget\Forecast;
use Rhetorix\Core\Budget\Quality;
use Rhetorix\Core\Budget\StepDown;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

function computer(float $copy = 6.0, float $pass = 10.0, float $look = 20.0): Computer
{
    return new Computer($copy, 0.5, $pass, $look);
}

/** @return list<Feed> */
function cameras(int $count, int $lines, float $rate = 30, bool $looked = false): array
{
    return array_map(fn (int $i): Feed => (new Feed("c{$i}", "Camera {$i}", new Size(1920, 1080), $rate, looked: $looked))->withLines($lines), range(1, $count));
}

it('adds up what the painter has to do', function (): void {
    // 30 passes of 10 ms, and 30 frames of 0.5 ms + 0.9216 million pixels of 6 ms
    $forecast = new Forecast(computer(), cameras(1, 720), 30);
    expect($forecast->busy())->toEqualWithDelta(0.3 + 30 * (0.5 + 0.9216 * 6) / 1000, 1e-9)
        ->and($forecast->holds())->toBeTrue()->and($forecast->sentence())->toContain('48 % busy')->and($forecast->advice())->toBe([]);
});

it('says how far program would fall, and what to lower until it holds', function (): void {
    $forecast = new Forecast(computer(), cameras(3, 1080), 30);
    expect($forecast->busy())->toBeGreaterThan(1.0)->and($forecast->programRate())->toBeLessThan(30.0)->and($forecast->sentence())->toContain('frames a second');
    $advice = $forecast->advice();
    $lowered = array_map(fn (Feed $feed): Feed => ($step = array_column($advice, null, 'source')[$feed->id] ?? null) === null ? $feed : $feed->withLines($step['height']), cameras(3, 1080));
    expect((new Forecast(computer(), $lowered, 30))->holds())->toBeTrue()->and(array_sum(array_column($advice, 'saves')))->toBeGreaterThan($forecast->busy() - Forecast::HOLDS - 1e-9);
});

it('lowers first what saves most, and nothing that cannot be lowered', function (): void {
    $feeds = [...cameras(1, 480), new Feed('big', 'Big', new Size(3840, 2160), 30), new Feed('phone', 'Phone', new Size(1920, 1080), 30, adjustable: false)];
    expect((new Forecast(computer(), $feeds, 30))->advice()[0]['source'])->toBe('big')
        ->and((new Forecast(computer(), [$feeds[2]], 90))->advice())->toBe([]);
});

it('counts looks beside the painter', function (): void {
    expect((new Forecast(computer(copy: 1, pass: 2), cameras(3, 720, looked: true), 30))->sentence())->toContain('lag behind')
        ->and((new Forecast(computer(copy: 1, pass: 2), cameras(1, 720, looked: true), 30))->holds())->toBeTrue();
});

it('refuses measurements that cannot be', function (): void {
    expect(fn () => Computer::fromFields(Fields::of(['copy' => -1])))->toThrow(BadInput::class, 'copy');
});

it('gives up miniatures, then preview, then the size of captures, and the rate of program last', function (): void {
    $steps = array_map(Quality::at(...), range(0, Quality::last()));
    $first = fn (callable $is): int => array_key_first(array_filter($steps, $is)) ?? -1;
    $order = [
        $first(fn (array $s): bool => $s['miniatures'] < 8),
        $first(fn (array $s): bool => $s['preview_every'] > 1),
        $first(fn (array $s): bool => $s['lines'] !== null),
        $first(fn (array $s): bool => $s['rate'] < 1.0),
    ];
    $sorted = $order;
    sort($sorted);
    expect($order)->toBe($sorted)->and(min($order))->toBeGreaterThan(0)->and($order[3])->toBe(Quality::last())
        ->and($steps[0]['said'])->toBe('everything as chosen')->and(array_unique(array_column($steps, 'said')))->toHaveCount(count($steps));
});

/** @param  list<float>  $late  share of late frames, second by second */
function stepped(array $late, ?StepDown $from = null, int $at = 0): StepDown
{
    $step = $from ?? StepDown::begin();
    foreach ($late as $i => $share) {
        $step = StepDown::fromArray(json_decode((string) json_encode($step->after($share, at($at + 1000 * $i))->toArray()), true));
    }

    return $step;
}

it('steps down when frames stay late and not for a hiccup', function (): void {
    expect(stepped([0.5, 0, 0.5, 0, 0.5, 0])->level)->toBe(0)
        ->and(stepped([0.5, 0.5, 0.5, 0.5])->level)->toBe(1)
        ->and(stepped(array_fill(0, 60, 0.5))->level)->toBe(Quality::last());
});

it('does not count late frames while the host is warming up', function (): void {
    $step = StepDown::begin();
    foreach (range(0, 5) as $second) {
        $step = $step->after(0.9, at(1000 * $second), 1000 * $second);
    }
    expect($step->level)->toBe(0)->and($step->after(0.9, at(9000), 9000)->after(0.9, at(12_000), 12_000)->level)->toBe(1);
});

it('comes back slowly, and slower when that was a mistake', function (): void {
    $down = stepped([0.5, 0.5, 0.5, 0.5]);
    expect(stepped(array_fill(0, 10, 0.0), $down, 4000)->level)->toBe(1);
    $up = stepped(array_fill(0, 11, 0.0), $down, 4000);
    expect($up->level)->toBe(0);
    // It was a mistake: down again at once, and now ten seconds of calm are not enough.
    $again = stepped([0.5, 0.5, 0.5, 0.5], $up, 15_000);
    expect($again->level)->toBe(1)
        ->and(stepped(array_fill(0, 15, 0.0), $again, 19_000)->level)->toBe(1)
        ->and(stepped(array_fill(0, 22, 0.0), $again, 19_000)->level)->toBe(0);
});

it('does not hurry up all steps at once', function (): void {
    $low = stepped(array_fill(0, 12, 0.9));
    expect(stepped(array_fill(0, 15, 0.0), $low, 12_000)->level)->toBe($low->level - 1);
});
