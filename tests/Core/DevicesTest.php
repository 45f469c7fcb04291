<?php

use Rhetorix\Core\Rig\BarDetection;
use Rhetorix\Core\Rig\Devices\KnownDevice;
use Rhetorix\Core\Rig\Devices\Matching;
use Rhetorix\Core\Rig\Devices\PluggedDevice;

/**
 * @param  list<string>  $known  "source device label"
 * @param  list<string>  $plugged  "device label"
 */
function matching(array $known, array $plugged): Matching
{
    return Matching::of(
        array_map(fn (string $words): KnownDevice => new KnownDevice(explode(' ', $words)[0], 'camera', explode(' ', $words)[1], explode(' ', $words, 3)[2]), $known),
        array_map(fn (string $words): PluggedDevice => new PluggedDevice('camera', explode(' ', $words)[0], explode(' ', $words, 2)[1]), $plugged),
    );
}

it('matches by identity alone', function (array $known, array $plugged, array $here, array $missing, array $offers, array $waiting): void {
    $matching = matching($known, $plugged);
    expect($matching->here)->toBe($here)->and($matching->missing)->toBe($missing)
        ->and(array_map(fn (array $devices): array => array_column($devices, 'device'), $matching->offers))->toBe($offers)
        ->and(array_column($matching->waiting, 'device'))->toBe($waiting);
})->with([
    // known, plugged, here, missing, offers, waiting
    'as it was' => [['face d1 Face cam', 'bench d2 Doc cam'], ['d1 Face cam', 'd2 Doc cam'], ['face' => 'd1', 'bench' => 'd2'], [], [], []],
    'a second camera takes nobody’s place' => [['face d1 Face cam'], ['d9 Doc cam', 'd1 Face cam'], ['face' => 'd1'], [], [], ['d9']],
    'one is unplugged' => [['face d1 Face cam', 'bench d2 Doc cam'], ['d2 Doc cam'], ['bench' => 'd2'], ['face'], [], []],
    'back under another identity: offered, not put in' => [['face d1 Face cam'], ['d7 Face cam'], [], ['face'], ['face' => ['d7']], ['d7']],
    'the maker’s numbers behind the name do not count' => [['face d1 Face cam (046d:0825)'], ['d7 Face cam'], [], ['face'], ['face' => ['d7']], ['d7']],
    'two of the same make, both are offered' => [['face d1 Cam', 'bench d2 Cam'], ['d8 Cam', 'd9 Cam'], [], ['face', 'bench'], ['face' => ['d8', 'd9'], 'bench' => ['d8', 'd9']], ['d8', 'd9']],
    'without a name nothing is offered' => [['face d1 Cam'], ['d8 '], [], ['face'], [], ['d8']],
    'one device is one source' => [['face d1 Cam', 'again d1 Cam'], ['d1 Cam'], ['face' => 'd1'], ['again'], [], []],
    'nothing plugged in' => [['face d1 Cam'], [], [], ['face'], [], []],
]);

it('keeps every source with its own device through 50 random plugs and unplugs', function (): void {
    mt_srand(7);
    $known = array_map(fn (int $i): string => "s{$i} d{$i} Cam", range(1, 4));
    for ($round = 0; $round < 50; $round++) {
        $plugged = array_values(array_filter(array_map(fn (int $i): string => "d{$i} Cam", range(1, 6)), fn (): bool => mt_rand(0, 1) === 1));
        shuffle($plugged);
        foreach (matching($known, $plugged)->here as $source => $device) {
            expect(substr($device, 1))->toBe(substr($source, 1));
        }
    }
});

/** @return list<int> so many dark columns, a picture, so many dark columns */
function profile(int $dark, int $picture, int $darkAfter, int $luma = 18): array
{
    return [...array_fill(0, $dark, $luma), ...array_fill(0, $picture, 200), ...array_fill(0, $darkAfter, $luma)];
}

it('finds black bars on both sides', function (array $columns, array $rows, ?array $crop): void {
    $found = BarDetection::find($columns, $rows);
    $crop === null ? expect($found)->toBeNull() : expect(array_values($found?->toArray() ?? []))->toEqualWithDelta($crop, 1e-9);
})->with([
    'an upright phone in a wide picture' => [profile(109, 102, 109), profile(0, 180, 0), [109 / 320, 0, 102 / 320, 1]],
    'a wide film in a 4:3 picture' => [profile(0, 320, 0), profile(30, 180, 30), [0, 30 / 240, 1, 180 / 240]],
    'both' => [profile(40, 240, 40), profile(20, 140, 20), [0.125, 20 / 180, 0.75, 140 / 180]],
    'none' => [profile(0, 320, 0), profile(0, 180, 0), null],
    'a dark wall at one side is no bar' => [profile(120, 200, 0), profile(0, 180, 0), null],
    'one bar much broader than the other' => [profile(20, 220, 80), profile(0, 180, 0), null],
    'an edge of three columns' => [profile(3, 314, 3), profile(0, 180, 0), null],
    'all black: no picture, so no bars' => [profile(320, 0, 0), profile(180, 0, 0), null],
    'hardly anything left' => [profile(140, 40, 140), profile(0, 180, 0), null],
    'noise in the bars' => [profile(109, 102, 109, 27), profile(0, 180, 0), [109 / 320, 0, 102 / 320, 1]],
    'grey bars are part of the picture' => [profile(109, 102, 109, 60), profile(0, 180, 0), null],
    'no profile' => [[], [], null],
]);
