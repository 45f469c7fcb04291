<?php

use App\Models\ApiToken;
use App\Models\AsRunEntry;
use App\Models\Show;
use App\Models\User;
use App\Shows\PressTableText;
use App\Shows\Replay;
use Illuminate\Support\Facades\Artisan;

Artisan::command('rhetorix:token {email} {--name=command line}', function (string $email): int {
    $user = User::query()->where('email', $email)->first();
    if ($user === null) {
        $this->error("Nobody signs in with {$email}. Check the address.");

        return 1;
    }
    $this->line(ApiToken::issue($user, (string) $this->option('name')));

    return 0;
})->purpose('Make a bearer token for the HTTP API, for a person');

Artisan::command('rhetorix:replay {show}', function (Replay $replay, string $show): int {
    $found = Show::query()->findOrFail($show);
    $same = $replay->of($found)->toArray() == $found->desk->toDesk()->toArray();
    $this->line($same ? 'The as-run list gives the stored desk.' : 'The as-run list does not give the stored desk.');

    return $same ? 0 : 1;
})->purpose('Check that the as-run list of a show gives its stored desk');

Artisan::command('rhetorix:as-run {show} {--after=0}', function (string $show): int {
    $entries = AsRunEntry::query()->where('show_id', $show)->where('revision', '>', (int) $this->option('after'))->orderBy('revision')->get();
    $this->line($entries->map(fn (AsRunEntry $entry): array => ['id' => $entry->command_id, 'type' => $entry->type, 'at' => $entry->at_ms, 'revision' => $entry->revision])->toJson());

    return 0;
})->purpose('Write the as-run list of a show as JSON: id, type, time and revision of each command');

Artisan::command('rhetorix:presses', function (): int {
    $this->line(PressTableText::markdown());

    return 0;
})->purpose('Write the table of presses, as in docs/presses.md');
