<?php

use Rhetorix\Core\LineUp\Health\Expected;
use Rhetorix\Core\LineUp\Health\Sample;
use Rhetorix\Core\LineUp\Health\Signal;
use Rhetorix\Core\LineUp\Health\Watch;
use Rhetorix\Core\LineUp\LineUp;
use Rhetorix\Core\LineUp\Verdict;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Rig\Hearing;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Support\Fields;

const WELL = ['fps' => 30, 'noise' => [0.8, 0.8, 0.8, 0.8, 0.8], 'moved' => [0, 0, 0, 0, 0], 'mean' => 110, 'dark' => 0.05, 'spread' => 8, 'clipped' => 0.01, 'width' => 1280, 'height' => 720];

/** @return list<float> a grey picture with these colour differences */
function cells(float $cb = 128, float $cr = 128, float $luma = 110): array
{
    return array_merge(...array_fill(0, Sample::CELLS, [$luma, $cb, $cr]));
}

/**
 * Some seconds that are well, then some that are otherwise, a sample a second.
 *
 * @param  array<string, mixed>  $otherwise
 * @param  list<mixed>  $expected
 */
function watchOf(array $otherwise, int $seconds, array $expected = [true, true, 30], int $wellBefore = 20, int $wellAfter = 0): Watch
{
    $watch = Watch::begin();
    $now = 0;
    foreach ([[[], $wellBefore], [$otherwise, $seconds], [[], $wellAfter]] as [$more, $count]) {
        for ($i = 0; $i < $count; $i++, $now += 1000) {
            $watch = $watch->after(Sample::fromFields(Fields::of(['cells' => cells(), ...WELL, ...$more])), new Expected(...$expected), at($now));
        }
    }

    return Watch::fromArray(json_decode((string) json_encode($watch->toArray()), true));
}

it('says what is wrong once it has lasted, and since when', function (array $sample, string $signal, int $after): void {
    expect(watchOf($sample, $after)->finding()?->signal->value)->toBe('live', 'not yet')
        ->and(watchOf($sample, $after + 1)->finding()?->signal->value)->toBe($signal)
        ->and(watchOf($sample, $after + 5)->finding()?->since->ms)->toBe(20_000);
})->with([
    // sample, signal, samples until it is said
    'black' => [['dark' => 0.99, 'spread' => 1.2, 'mean' => 16], 'black', 2],
    'black with a logo' => [['dark' => 0.94, 'spread' => 2, 'mean' => 26], 'black', 2],
    'frozen, the same bits' => [['noise' => [0, 0, 0, 0, 0]], 'frozen', 3],
    'frozen, with a shimmer far below its own noise' => [['noise' => [0.15, 0.2, 0.1, 0.15, 0.2]], 'frozen', 3],
    'slow: few frames come' => [['fps' => 11], 'slow', 4],
    'slow: each frame comes three times' => [['noise' => [0, 0, 0.8, 0, 0]], 'slow', 4],
    'too dark' => [['mean' => 30, 'dark' => 0.6, 'spread' => 9, 'cells' => cells(luma: 30)], 'dark', 4],
    'too bright' => [['clipped' => 0.4], 'clipped', 4],
    'silent' => [['peak' => -80], 'silent', 10],
    'its white balance has wandered' => [['cells' => cells(136, 121)], 'colour-shift', 5],
]);

it('says when another size comes than was asked for', function (): void {
    expect(watchOf(['width' => 640, 'height' => 480], 5, [true, true, 30, 1280, 720])->finding())->toMatchObject(['signal' => Signal::WrongSize, 'measured' => '640×480 instead of 1280×720']);
});

it('says at once that a signal is lost, and at once that it is back', function (): void {
    expect(watchOf(['lost' => true], 1)->finding()?->signal)->toBe(Signal::Lost)
        ->and(watchOf(['lost' => true], 4, wellAfter: 1)->finding()?->signal)->toBe(Signal::Live);
});

it('leaves alone what only looks like a fault', function (array $sample, array $expected): void {
    expect(watchOf($sample, 30, $expected)->finding()?->signal)->toBe(Signal::Live);
})->with([
    'a camera that looks at a still thing has its own noise' => [['moved' => [0, 0, 0, 0, 0]], [true, true, 30]],
    'a slide that stands still' => [['noise' => [0, 0, 0, 0, 0]], [false]],
    'a dark slide' => [['dark' => 1, 'spread' => 0, 'mean' => 0], [false]],
    'a white slide' => [['clipped' => 0.95, 'mean' => 254], [false]],
    'a microscope: a bright field in a black picture' => [['mean' => 40, 'dark' => 0.7, 'spread' => 8], [true, true, 30]],
    'a dark hall with a lit face' => [['dark' => 0.8, 'spread' => 7, 'mean' => 52], [true, true, 30]],
    'somebody walks in: a quarter of the picture has another colour' => [['cells' => [...array_slice(cells(150, 100), 0, 24), ...array_slice(cells(), 24)]], [true, true, 30]],
    'the camera is turned to another wall' => [['cells' => cells(140, 118, 160)], [true, true, 30]],
    'a phone on a stand, whose picture was coded for a thin line' => [['noise' => [0, 0, 0, 0, 0]], [true, false]],
    'a rate that nobody asked for' => [['fps' => 12], [true]],
    'a quiet room' => [['peak' => -58], [true, true, 30]],
]);

it('does not flutter: a blink is not said, and a fault is not taken back for a blink', function (): void {
    $black = ['dark' => 0.99, 'spread' => 1, 'mean' => 16];
    expect(watchOf($black, 1, wellAfter: 2)->finding()?->signal)->toBe(Signal::Live)
        ->and(watchOf(['fps' => 10], 8, wellAfter: 1)->finding()?->signal)->toBe(Signal::Slow)
        ->and(watchOf(['fps' => 10], 8, wellAfter: 5)->finding()?->signal)->toBe(Signal::Live);
});

it('takes any sample without falling over', function (array $sample): void {
    expect(watchOf($sample, 3)->finding())->not->toBeNull();
})->with([
    'nothing measured' => [['mean' => null, 'noise' => [], 'moved' => []]],
    'cells missing' => [['cells' => [1, 2, 3]]],
    'noise of another kind' => [['noise' => ['a', null, [], -4, 9999]]],
]);

it('has a sentence that says what to do for every signal', function (Signal $signal): void {
    expect($signal->whatToDo())->toMatch($signal === Signal::Live ? '/^$/' : '/(Look|Take|Press|Give|Choose|Switch|Close|Set|Ask|Sample)/');
})->with(Signal::cases());

it('lines a rig up, the gravest first, each with its measure and what to do', function (): void {
    $sources = [
        camera('face'),
        camera('bench'),
        new Source('mic', 'Mic', SourceKind::Microphone, Group::People, Hearing::Always),
        new Source('quarry', 'Quarry', SourceKind::Guest, Group::People, Hearing::WithPicture),
    ];
    $findings = array_filter(['face' => watchOf([], 1)->finding(), 'bench' => watchOf(['noise' => [0, 0, 0, 0, 0]], 30)->finding(), 'mic' => watchOf([], 1)->finding()]);
    $checks = (new LineUp($sources, $findings, [], at(55_000)))->checks(29.9, 30, 0.001, 80_000);
    expect($checks[0]->what)->toBe('Bench')->and($checks[0]->verdict)->toBe(Verdict::Wrong)
        ->and($checks[0]->measured)->toStartWith('frozen for 35 s')->and($checks[0]->todo)->toContain('Restart')
        ->and(array_column($checks, 'verdict', 'what'))->toMatchArray(['Face' => Verdict::Well, 'Microphone' => Verdict::Well, 'Quarry' => Verdict::Look, 'Program' => Verdict::Well, 'Room for files' => Verdict::Well]);
    $alone = (new LineUp([], [], [], at(0)))->checks(null, 30, 0, 100);
    expect(array_column($alone, 'verdict', 'what'))->toBe(['Picture host' => Verdict::Wrong, 'Room for files' => Verdict::Wrong, 'What the computer holds' => Verdict::Look, 'Microphone' => Verdict::Look]);
});
