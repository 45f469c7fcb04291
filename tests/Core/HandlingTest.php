<?php

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Rig\Clip;
use Rhetorix\Core\Rig\Live\ClipEnd;
use Rhetorix\Core\Rig\Live\Handling;
use Rhetorix\Core\Rig\Live\LinkedDecks;
use Rhetorix\Core\Rig\Live\Playback;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Switching\Command\CommandReader;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Switching\Outcome;
use Rhetorix\Core\Time\FrameRate;
use Rhetorix\Core\Time\Milliseconds;

/** @param  array<string, mixed>  $wish */
function handled(Desk $desk, array $wish, int $at = 1000): Outcome
{
    return $desk->apply((new CommandReader(new FrameRate(30), new Size(1280, 720)))->read(['id' => 'x', ...$wish]), at($at));
}

it('says in the as-run list what was done to a source', function (array $wish, string $said): void {
    $outcome = handled(Desk::empty(), ['type' => 'handle', 'source' => 'bench', ...$wish]);
    expect($outcome->events[0]->detail)->toBe($said)->and($outcome->events[0]->subject)->toBe('bench');
})->with([
    'freeze' => [['frozen' => true], 'frozen'],
    'blank' => [['blank' => true], 'blanked'],
    'turn' => [['framing' => ['orientation' => 'r90']], 'turned to 90°'],
    'mirror' => [['framing' => ['orientation' => 'r0m']], 'turned to 0°, mirrored'],
    'magnify' => [['framing' => ['magnify' => ['x' => 0.2, 'y' => 0.3, 'factor' => 2]]], 'magnified 2×'],
    'crop' => [['framing' => ['crop' => ['x' => 0.1, 'y' => 0, 'width' => 0.8, 'height' => 1]]], 'cropped'],
    'play' => [['playback' => ['playing' => true, 'position' => 12_000]], 'plays from 12.0 s'],
]);

it('leaves alone what is not said, and does nothing twice', function (): void {
    $desk = handled(Desk::empty(), ['type' => 'handle', 'source' => 'bench', 'frozen' => true])->desk;
    $desk = handled($desk, ['type' => 'handle', 'source' => 'bench', 'framing' => ['orientation' => 'r180']])->desk;
    expect($desk->handlings->of('bench')->frozen)->toBeTrue()
        ->and(handled($desk, ['type' => 'handle', 'source' => 'bench', 'frozen' => true])->events)->toBe([])
        ->and($desk->handlings->of('other'))->toEqual(Handling::none());
});

it('is stored and read again with the desk, also one from before there were handlings', function (): void {
    $desk = handled(Desk::empty(), ['type' => 'handle', 'source' => 'clip', 'playback' => ['playing' => true, 'position' => 500]])->desk;
    $desk = handled($desk, ['type' => 'page', 'group' => 'slides', 'position' => 7])->desk;
    $again = Desk::fromArray(json_decode((string) json_encode($desk->toArray()), true));
    expect($again)->toEqual($desk)->and($again->handlings->position('slides'))->toBe(7);
    $old = array_diff_key($desk->toArray(), ['handlings' => 1, 'positions' => 1]);
    expect(Desk::fromArray(json_decode((string) json_encode($old), true))->handlings->position('slides'))->toBe(1);
});

it('names what is wrong with handling', function (array $wish, string $word): void {
    expect(fn () => handled(Desk::empty(), ['type' => 'handle', 'source' => 'bench', ...$wish]))->toThrow(BadInput::class, $word);
})->with([
    'nothing said' => [[], 'frozen, blank, framing, playback, colour, key or behind'],
    'frozen by a word' => [['frozen' => 'yes'], '“frozen”'],
    'no such orientation' => [['framing' => ['orientation' => 'sideways']], 'framing.orientation'],
    'a crop outside' => [['framing' => ['crop' => ['x' => 0, 'y' => 0, 'width' => 2, 'height' => 1]]], 'framing.crop.width'],
    'before the beginning' => [['playback' => ['playing' => true, 'position' => -1]], 'playback.position'],
]);

it('knows where a clip stands at any moment', function (bool $playing, int $from, string $end, int $later, int $stands, int $left): void {
    $clip = new Clip(Milliseconds::of(10_000), Milliseconds::of(0), ClipEnd::from($end), false);
    $playback = Playback::at($playing, Milliseconds::of($from), at(50_000));
    expect($playback->positionAt(at(50_000 + $later), $clip->length, $clip->end)->count)->toBe($stands)
        ->and($playback->remainingAt(at(50_000 + $later), $clip->length, $clip->end)->count)->toBe($left);
})->with([
    // playing, from, at the end, later, stands, left
    'stopped' => [false, 3000, 'hold', 5000, 3000, 7000],
    'playing' => [true, 3000, 'hold', 5000, 8000, 2000],
    'held at its end' => [true, 3000, 'hold', 60_000, 10_000, 0],
    'a loop, in its third round' => [true, 3000, 'loop', 22_000, 5000, 5000],
    'run out, what is next was taken' => [true, 0, 'next', 10_000, 10_000, 0],
    'asked about a moment before' => [true, 3000, 'hold', -400, 3000, 7000],
]);

it('turns linked decks together and holds the last page of the shorter one', function (): void {
    $decks = new LinkedDecks(['slides' => 12, 'notes' => 10]);
    $pages = fn (int $position): array => [$decks->pageOf('slides', $position), $decks->pageOf('notes', $position)];
    expect(array_map($pages, [1, 10, 11, 12, 13, -3]))->toBe([[1, 1], [10, 10], [11, 10], [12, 10], [12, 10], [1, 1]])
        ->and($decks->last())->toBe(12)
        ->and($decks->pagesOf('notes'))->toBe([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 10, 10]);
});
