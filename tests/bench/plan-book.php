<?php

// How long the core takes to compose a plan book of 40 pictures with 4 windows each. Prints JSON.

use Rhetorix\Core\Layout\Layout;
use Rhetorix\Core\Layout\Layouts;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\Picture;
use Rhetorix\Core\Picture\PlanBook;

require __DIR__.'/../../vendor/autoload.php';
require __DIR__.'/../functions.php';

$shapes = ['rectangle', 'rounded', 'circle', 'rounded'];
$layout = fn (int $n): Layout => Layouts::fromData([
    'layout' => 'free',
    'canvas' => ['width' => 1280, 'height' => 720],
    'windows' => array_map(fn (int $i): array => ['slot' => "w{$i}", 'x' => 40 * $n % 600 + 90 * $i, 'y' => 60 * $i, 'width' => 400 - 20 * $i, 'height' => 300, 'fit' => 'cover', 'shape' => $shapes[$i], 'border' => ['width' => 4, 'colour' => '#ffffff']], range(0, 3)),
]);
$sources = array_map(fn (int $i) => camera("s{$i}"), range(0, 7));
$pictures = array_map(fn (int $n): Picture => new Picture("p{$n}", "Picture {$n}", Group::Together, $layout($n), ['w0' => 's'.$n % 8, 'w1' => 's'.($n + 1) % 8, 'w2' => 's'.($n + 2) % 8, 'w3' => 's'.($n + 3) % 8]), range(1, 40));

$times = fn (Closure $work): array => array_map(function () use ($work): float {
    $began = hrtime(true);
    $work();

    return (hrtime(true) - $began) / 1e6;
}, range(1, 60));
$bare = $times(function (): void {
    // the same number of small objects, without any computing
    for ($i = 0; $i < 40 * 4 * 8; $i++) {
        new ArrayObject(['x' => $i, 'y' => $i, 'width' => $i, 'height' => $i]);
    }
});
$compose = $times(function () use ($sources, $pictures): void {
    $book = PlanBook::of(Canvas::usual(), 'Bench', $sources, $pictures);
    foreach ($pictures as $picture) {
        $book->planOf($picture->id);
    }
});
$whole = $times(fn () => json_encode(PlanBook::of(Canvas::usual(), 'Bench', $sources, $pictures)->toArray()));
$share = function (array $values, float $part): float {
    sort($values);

    return round($values[(int) floor($part * (count($values) - 1))], 2);
};
echo json_encode(['bare' => $share($bare, 0.5), 'compose' => $share($compose, 0.5), 'compose_p95' => $share($compose, 0.95), 'whole' => $share($whole, 0.5)]), "\n";
