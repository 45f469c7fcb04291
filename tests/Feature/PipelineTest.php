<?php

use App\Models\AsRunEntry;
use App\Models\Show;
use App\Models\User;
use App\Shows\CommandPipeline;
use App\Shows\Outdated;
use App\Shows\Replay;
use App\Shows\ShowBook;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Rhetorix\Core\Support\Refusal;

beforeEach(function (): void {
    $this->ada = $this->person();
    $this->reading = $this->show($this->ada);
    $this->lectern = $this->connect($this->reading, $this->ada, 'Lectern');
    $this->bench = $this->connect($this->reading, $this->ada, 'Bench');
    $this->full = ['Lectern' => $this->pictureOf($this->reading, 'Lectern'), 'Bench' => $this->pictureOf($this->reading, 'Bench')];
});

function run(Show $show, User $by, array $data): array
{
    return app(CommandPipeline::class)->run($show, $by, $data);
}

it('gives every source a full-screen picture with a key, without work', function (): void {
    $picture = $this->reading->pictures()->where('name', 'Lectern')->firstOrFail();

    expect($picture->key)->toBe('Q')->and($picture->fills->pluck('source_id', 'slot')->all())->toBe(['large' => $this->lectern]);
});

it('applies a command, writes it down and tells everybody the same', function (): void {
    $this->channel->messages = [];
    $answer = $this->command($this->reading, $this->ada, 'cut', ['picture' => $this->full['Bench']]);
    $entry = AsRunEntry::query()->orderByDesc('revision')->firstOrFail();

    expect($answer['program'])->toBe([$this->full['Bench']])->and($answer['preview'])->toBe('holding')
        ->and($answer['revision'])->toBe(3)
        ->and($entry->events)->toMatchArray([['what' => 'cut', 'subject' => $this->full['Bench'], 'at' => $entry->at_ms, 'detail' => null]])
        ->and($this->channel->messages)->toHaveCount(1)
        ->and($this->channel->messages[0]['revision'])->toBe(3)
        ->and($this->channel->messages[0]['channel'])->toBe($this->reading->id);
});

it('applies a repeated command once and gives the same answer', function (): void {
    $data = ['id' => (string) Str::uuid(), 'type' => 'cut', 'picture' => $this->full['Bench']];
    $first = run($this->reading, $this->ada, $data);
    $this->command($this->reading, $this->ada, 'cut', ['picture' => $this->full['Lectern']]);
    $this->channel->messages = [];
    $again = run($this->reading, $this->ada, $data);

    expect(json_encode($again))->toBe(json_encode(json_decode(json_encode($first))))
        ->and($this->channel->messages)->toBeEmpty()
        ->and($this->reading->desk()->firstOrFail()->toDesk()->program())->toBe($this->full['Lectern'])
        ->and($this->reading->asRun()->where('command_id', $data['id'])->count())->toBe(1);
});

it('shows the first person in the inset until somebody is chosen, and replays the same', function (): void {
    $press = fn (array $data): array => $this->command($this->reading, $this->ada, 'inset', $data);

    expect($press(['mode' => 'over'])['desk']['inset_source'])->toBe($this->lectern);
    $press(['mode' => 'over', 'source' => $this->bench]);
    $press(['mode' => 'off', 'source' => $this->bench]);
    expect($press(['mode' => 'full'])['desk']['inset_source'])->toBe($this->bench)
        ->and(app(Replay::class)->of($this->reading)->toArray())->toEqual($this->reading->desk()->firstOrFail()->toDesk()->toArray());
});

it('answers with a book that a source has joined since', function (): void {
    $books = app(ShowBook::class);
    $book = $books->of($this->reading);
    $this->connect($this->reading, $this->ada, 'Late');

    expect(array_keys((array) $books->page($this->reading, $book)['sources']))->toBe([$this->lectern, $this->bench]);
});

it('does not refuse a live command for being late, but does refuse an outdated edit', function (): void {
    $seen = $this->reading->desk()->firstOrFail()->revision;
    $this->command($this->reading, $this->ada, 'source.rename', ['source' => $this->bench, 'name' => 'Table', 'expect' => $seen]);
    $late = run($this->reading, $this->ada, ['id' => 'late', 'type' => 'cut', 'picture' => $this->full['Bench'], 'expect' => 1]);
    expect($late['program'])->toBe([$this->full['Bench']]);

    try {
        $this->command($this->reading, $this->ada, 'source.rename', ['source' => $this->bench, 'name' => 'Desk', 'expect' => $seen]);
        $this->fail('It should have been refused.');
    } catch (Outdated $refusal) {
        expect($refusal->getMessage())->toContain('changed by somebody else')->and($refusal->current['name'])->toBe('Table');
    }
    // another thing that nobody touched can still be changed with the same view
    $this->command($this->reading, $this->ada, 'source.rename', ['source' => $this->lectern, 'name' => 'Stand', 'expect' => $seen]);
    expect($this->reading->sources()->find($this->lectern)->name)->toBe('Stand')
        ->and($this->reading->pictures()->find($this->full['Lectern'])->name)->toBe('Stand');
});

it('refuses what cannot be, in a sentence, and nothing changes', function (string $type, array $more, string $word): void {
    $more = array_map(fn ($value) => is_string($value) ? str_replace(['{lectern}', '{bench}', '{full}'], [$this->lectern, $this->bench, $this->full['Bench']], $value) : $value, $more);
    array_walk_recursive($more, function (&$value): void {
        $value = is_string($value) ? str_replace(['{lectern}', '{bench}'], [$this->lectern, $this->bench], $value) : $value;
    });
    $before = $this->reading->desk()->firstOrFail()->only(['revision', 'state']);

    expect(fn () => $this->command($this->reading, $this->ada, $type, $more))->toThrow(Refusal::class, $word)
        ->and($this->reading->desk()->firstOrFail()->only(['revision', 'state']))->toEqual($before)
        ->and($this->reading->asRun()->count())->toBe(2);
})->with([
    ['explode', [], 'one of'],
    ['cut', ['picture' => 'nowhere'], 'not in the show any more'],
    ['forget', ['picture' => '{full}'], 'picture.remove'],
    ['sound', ['source' => 'nothing', 'muted' => true], 'not in the show any more'],
    ['source.connect', ['name' => 'X', 'kind' => 'telescope'], 'one of'],
    ['source.connect', ['name' => '  ', 'kind' => 'camera', 'settings' => ['device' => 'd']], '“name”'],
    ['source.connect', ['name' => 'X', 'kind' => 'camera', 'settings' => []], 'settings.device'],
    ['source.connect', ['name' => 'X', 'kind' => 'still', 'settings' => ['medium' => 'no']], 'Choose the file again'],
    ['source.remove', ['source' => "' or 1=1 --"], 'not in the show any more'],
    ['picture.make', ['layout' => ['layout' => 'inset', 'corner' => 'top-left', 'size' => 0.3], 'fills' => ['large' => 'nobody']], 'not in the show any more'],
    ['picture.make', ['layout' => ['layout' => 'inset', 'corner' => 'top-left', 'size' => 0.9], 'fills' => ['large' => '{lectern}', 'inset' => '{bench}']], '60 %'],
    ['picture.remove', ['picture' => '{full}'], 'stays as long as the source'],
    ['source.measured', ['source' => '{bench}', 'width' => 0, 'height' => 720], 'width'],
]);

it('does not let a source go while it is on air', function (): void {
    $this->command($this->reading, $this->ada, 'picture.make', ['layout' => ['layout' => 'inset', 'corner' => 'top-left', 'size' => 0.3], 'fills' => ['large' => $this->lectern, 'inset' => $this->bench]]);
    $made = $this->pictureOf($this->reading, 'Lectern + Bench');
    $this->command($this->reading, $this->ada, 'cut', ['picture' => $made]);
    expect(fn () => $this->command($this->reading, $this->ada, 'source.remove', ['source' => $this->bench]))->toThrow(Refusal::class, '“Lectern + Bench”');
    $this->command($this->reading, $this->ada, 'cut', ['picture' => $this->full['Lectern']]);

    $this->command($this->reading, $this->ada, 'arm', ['picture' => $made]);
    $answer = $this->command($this->reading, $this->ada, 'picture.remove', ['picture' => $made]);
    expect($answer['preview'])->toBeNull();

    $this->command($this->reading, $this->ada, 'cut', ['picture' => $this->full['Bench']]);
    expect(fn () => $this->command($this->reading, $this->ada, 'source.remove', ['source' => $this->bench]))->toThrow(Refusal::class, 'on program');
    $this->command($this->reading, $this->ada, 'cut', ['picture' => $this->full['Lectern']]);
    $this->command($this->reading, $this->ada, 'source.remove', ['source' => $this->bench]);
    expect($this->reading->sources()->count())->toBe(1)->and($this->reading->desk()->firstOrFail()->toDesk()->preview())->toBeNull();
});

it('crops by what a source really delivers', function (): void {
    $answer = $this->command($this->reading, $this->ada, 'source.measured', ['source' => $this->lectern, 'width' => 640, 'height' => 480]);
    $layer = $answer['book']['pictures'][$this->full['Lectern']]['plan']['layers'][0];

    expect($layer['crop'])->toEqualWithDelta(['x' => 0, 'y' => 0.125, 'width' => 1, 'height' => 0.75], 1e-9);
});

it('gives the stored desk again from the as-run list, after random commands', function (): void {
    mt_srand(3);
    $pictures = [...array_values($this->full), 'holding'];
    Carbon::setTestNow('2026-11-24 19:00:00');
    for ($i = 0; $i < 120; $i++) {
        Carbon::setTestNow(now()->addMilliseconds(mt_rand(0, 800)));
        $picture = $pictures[mt_rand(0, 2)];
        match (mt_rand(0, 7)) {
            0 => $this->command($this->reading, $this->ada, 'cover'),
            1 => $this->command($this->reading, $this->ada, 'uncover'),
            2 => $this->command($this->reading, $this->ada, 'sound', ['source' => $this->lectern, 'level' => mt_rand(-60, 12), 'muted' => (bool) mt_rand(0, 1)]),
            3 => $this->command($this->reading, $this->ada, 'choose', ['transition' => ['kind' => 'mix', 'frames' => mt_rand(2, 60)]]),
            4 => $this->command($this->reading, $this->ada, 'source.measured', ['source' => $this->bench, 'width' => mt_rand(100, 2000), 'height' => 720]),
            5 => $this->command($this->reading, $this->ada, 'arm', ['picture' => $picture]),
            6 => $this->command($this->reading, $this->ada, 'take', ['picture' => $picture]),
            7 => $this->command($this->reading, $this->ada, ['cut', 'direct'][mt_rand(0, 1)], ['picture' => $picture]),
        };
    }
    $stored = $this->reading->desk()->firstOrFail();
    expect($stored->revision)->toBe(122)
        ->and(app(Replay::class)->of($this->reading)->toArray())->toEqual($stored->toDesk()->toArray());
});

it('goes on when the clock of the server jumps back', function (): void {
    Carbon::setTestNow('2026-11-24 19:00:10');
    $this->command($this->reading, $this->ada, 'cut', ['picture' => $this->full['Bench']]);
    Carbon::setTestNow('2026-11-24 19:00:00');
    $this->command($this->reading, $this->ada, 'cut', ['picture' => $this->full['Lectern']]);
    $times = $this->reading->asRun()->pluck('at_ms')->all();

    expect($times)->toBe(collect($times)->sort()->values()->all());
});

it('carries out a command also when the live channel is down', function (): void {
    $this->channel->isDown = true;
    expect($this->command($this->reading, $this->ada, 'cut', ['picture' => $this->full['Bench']])['program'])->toBe([$this->full['Bench']]);
});

it('keeps the as-run list as it was', function (): void {
    expect(fn () => AsRunEntry::query()->update(['type' => 'cut', 'events' => '[]']))->toThrow(Exception::class, 'append-only');
});
