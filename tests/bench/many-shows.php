<?php

/** Makes shows for the demo person, each with two pictures of one colour, and prints their ids: [[show, picture, picture], ...]. */

use App\Models\User;
use App\Shows\CommandPipeline;
use App\Shows\ShowMaker;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Str;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();

$person = User::query()->where('email', 'demo@rhetorix.test')->firstOrFail();
$made = [];
for ($i = 0; $i < (int) $argv[1]; $i++) {
    $show = app(ShowMaker::class)->make("Many {$i}", $person);
    foreach (['#884422', '#224488'] as $colour) {
        app(CommandPipeline::class)->run($show, $person, ['id' => (string) Str::uuid(), 'type' => 'source.connect', 'name' => $colour, 'kind' => 'colour', 'settings' => ['colour' => $colour]]);
    }
    $made[] = [$show->id, ...$show->pictures()->pluck('id')->all()];
}
echo json_encode($made);
