<?php

// What the core computes for the checks against other people's programs; printed as JSON.

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Picture\Patch;
use Rhetorix\Core\Picture\TestPicture;
use Rhetorix\Core\Switching\Transition\Easing;

require __DIR__.'/../../vendor/autoload.php';

$sizes = [[640, 360], [640, 480], [360, 640], [500, 500], [800, 200], [321, 243]];
$boxes = [[320, 180], [180, 320], [200, 200], [311, 97]];
$fits = [];
foreach (Fit::cases() as $fit) {
    foreach ($sizes as $source) {
        foreach ($boxes as $box) {
            $placed = $fit->place(new Size(...$source), (new Size(...$box))->asRect());
            $fits[] = ['fit' => $fit->value, 'source' => $source, 'box' => $box, 'dest' => $placed->dest->toArray(), 'crop' => $placed->crop->toArray()];
        }
    }
}

$easings = [];
foreach (Easing::cases() as $easing) {
    $easings[$easing->value] = array_map(fn (int $i): float => $easing->curve()->at($i / 200), range(0, 200));
}

$pictures = [];
foreach (TestPicture::cases() as $test) {
    $pictures[$test->value] = array_map(fn (Patch $patch): array => $patch->toArray(), $test->patches());
}

echo json_encode(['fits' => $fits, 'easings' => $easings, 'test_pictures' => $pictures], JSON_THROW_ON_ERROR);
