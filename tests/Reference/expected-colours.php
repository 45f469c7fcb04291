<?php

/**
 * For moments of transitions between two plain pictures: the colour that the
 * core's TransitionPlan::at(p) asks for at a point. Reads a list of
 * {from, to: [r, g, b], kind, p, x, y (fractions)} and answers with [r, g, b] for each.
 */

use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Time\Milliseconds;

require __DIR__.'/../../vendor/autoload.php';

const WIDTH = 1280;
const HEIGHT = 720;

$answers = [];
foreach (json_decode((string) stream_get_contents(STDIN), true, flags: JSON_THROW_ON_ERROR) as $sample) {
    $plan = Transition::ofKey($sample['kind'], Milliseconds::of(1000))->plan();
    $blend = $plan->at($sample['p']);
    [$x, $y] = [$sample['x'] * WIDTH, $sample['y'] * HEIGHT];
    // Where the incoming picture lies at this moment, and how much of it shows.
    [$left, $top] = [$blend->of('incoming.x') * WIDTH, $blend->of('incoming.y') * HEIGHT];
    $inside = $x >= $left && $x < $left + WIDTH && $y >= $top && $y < $top + HEIGHT;
    $shows = $inside ? $blend->of('incoming.opacity') : 0.0;
    if ($plan->reveal !== null) {
        $shows *= $plan->reveal->opacityAt($x, $y, WIDTH, HEIGHT, $blend->of('incoming.edge'));
    }
    $dip = $plan->colour === null ? 0.0 : $blend->of('colour.opacity');
    $through = sscanf($plan->colour ?? '#000000', '#%2x%2x%2x');
    $answers[] = array_map(fn (int $from, int $to, int $colour): float => round(($from * (1 - $shows) + $to * $shows) * (1 - $dip) + $colour * $dip, 2), $sample['from'], $sample['to'], $through);
}
echo json_encode($answers);
