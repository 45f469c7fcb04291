<?php

// Hands samples of clips to the watch of the core and prints what it says, second by second.

use Rhetorix\Core\LineUp\Health\Expected;
use Rhetorix\Core\LineUp\Health\Sample;
use Rhetorix\Core\LineUp\Health\Watch;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Time\Instant;

require __DIR__.'/../../../vendor/autoload.php';

ini_set('memory_limit', '1G');
$said = [];
while (($line = fgets(STDIN)) !== false) {
    /** @var array{moving: bool, samples: list<array<string, mixed>>} $clip */
    $clip = json_decode($line, true, flags: JSON_THROW_ON_ERROR);
    $watch = Watch::begin();
    $signals = [];
    foreach ($clip['samples'] as $second => $sample) {
        $watch = $watch->after(Sample::fromFields(Fields::of($sample)), new Expected($clip['moving'], true, $clip['moving'] ? 30 : null), new Instant(1000 * $second));
        $signals[] = array_keys($watch->raised());
    }
    $said[] = $signals;
}
echo json_encode($said, JSON_THROW_ON_ERROR);
