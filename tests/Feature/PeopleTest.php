<?php

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->ada = $this->person('Ada');
    $this->ben = $this->person('Ben');
    $this->reading = $this->show($this->ada);
    $this->path = "/shows/{$this->reading->id}";
    $this->actingAs($this->ada);
    $this->press = fn (string $type = 'cover') => $this->postJson("{$this->path}/commands", ['id' => (string) Str::uuid(), 'type' => $type]);
});

it('lets each role do what it may', function (string $role, int $desk, int $rig, int $people): void {
    $this->reading->people()->attach($this->ben, ['role' => $role]);
    $this->actingAs($this->ben);
    ($this->press)()->assertStatus($desk);
    $this->postJson("{$this->path}/host", ['tab' => (string) Str::uuid(), 'wish' => 'keep'])->assertStatus($rig);
    $this->postJson("{$this->path}/alone", ['minutes' => 5])->assertStatus($people);
    $this->get("{$this->path}/people")->assertOk();
})->with([['lead', 200, 200, 200], ['operator', 200, 200, 403], ['graphics', 403, 403, 403], ['view', 403, 403, 403]]);

it('lets somebody with graphics only give the commands of graphics and no others', function (): void {
    $this->reading->people()->attach($this->ben, ['role' => 'graphics']);
    expect($this->ben->can('command', [$this->reading, 'graphic.show']))->toBeTrue()
        ->and($this->ben->can('command', [$this->reading, 'take']))->toBeFalse()
        ->and($this->ben->can('command', [$this->reading, 'picture.remove']))->toBeFalse();
});

it('gives the desk to the lead alone for a while', function (): void {
    $this->reading->people()->attach($this->ben, ['role' => 'operator']);
    $this->channel->messages = [];
    $this->postJson("{$this->path}/alone", ['minutes' => 15])->assertOk()->assertJsonPath('alone.name', 'Ada');
    expect($this->channel->messages[0]['type'])->toBe('people');
    $this->actingAs($this->ben->fresh());
    ($this->press)()->assertStatus(422)->assertJsonFragment(['message' => 'Ada has the desk alone until '.$this->reading->fresh()->alone_until->format('H:i').'. Ask, or wait until then.']);
    // what the computer with the devices says of its sources goes on
    $this->actingAs($this->ada);
    ($this->press)()->assertOk();
    Carbon::setTestNow(now()->addMinutes(16));
    $this->actingAs($this->ben->fresh());
    ($this->press)('uncover')->assertOk();
    Carbon::setTestNow();
    $this->actingAs($this->ada)->postJson("{$this->path}/alone", ['minutes' => 0])->assertOk()->assertJsonPath('alone', null);
    $this->postJson("{$this->path}/alone", ['minutes' => 999])->assertStatus(422);
});

it('says who is here, tells it when it changes, and forgets who is gone', function (): void {
    $this->reading->people()->attach($this->ben, ['role' => 'operator']);
    $here = fn ($person, string $tab, string $wish = 'stay') => $this->actingAs($person)->postJson("{$this->path}/here", ['tab' => $tab, 'device' => 'tablet, 1024 × 768', 'wish' => $wish])->assertOk()->json('people');
    [$one, $two] = [(string) Str::uuid(), (string) Str::uuid()];
    $here($this->ada, $one);
    $this->channel->messages = [];
    expect(array_column($here($this->ben, $two), 'name'))->toBe(['Ada', 'Ben'])->and($this->channel->messages)->toHaveCount(1);
    $here($this->ben, $two);
    expect($this->channel->messages)->toHaveCount(1);
    expect($here($this->ben, $two, 'leave'))->toHaveCount(1);
    Carbon::setTestNow(now()->addSeconds(20));
    expect(array_column($here($this->ben, $two), 'name'))->toBe(['Ben']);
});

it('lets the lead add people, change what they may do, and never leave a show without a lead', function (): void {
    $this->post("{$this->path}/people", ['email' => 'Cleo@fernhollow.test', 'name' => 'Cleo', 'role' => 'operator'])->assertSessionHas('password');
    $cleo = $this->reading->people()->where('name', 'Cleo')->firstOrFail();
    expect($cleo->email)->toBe('cleo@fernhollow.test')->and(Hash::check((string) session('password'), $cleo->password))->toBeTrue();
    $this->post("{$this->path}/people", ['email' => $this->ben->email, 'role' => 'view'])->assertSessionHas('added', 'Ben');
    expect(session('password'))->toBeNull();
    $this->patch("{$this->path}/people/{$cleo->id}", ['role' => 'graphics']);
    expect($this->reading->people()->where('name', 'Cleo')->firstOrFail()->pivot->role)->toBe('graphics');
    $this->patchJson("{$this->path}/people/{$this->ada->id}", ['role' => 'view'])->assertStatus(422)->assertJsonFragment(['message' => 'A show needs a lead. Make somebody else lead first.']);
    $this->deleteJson("{$this->path}/people/{$this->ada->id}")->assertStatus(422);
    $this->delete("{$this->path}/people/{$cleo->id}");
    expect($this->reading->people()->count())->toBe(2);
    $this->post("{$this->path}/people", ['email' => 'nobody', 'role' => 'view'])->assertSessionHasErrors('email');
});

it('keeps what a person put where', function (): void {
    $this->putJson('/controls', ['keys' => ['cut' => 'KeyY'], 'others' => ['fader' => 'control 1 7']])->assertOk()->assertJsonPath('keys.cut', 'KeyY')->assertJsonPath('others.fader', 'control 1 7');
    expect($this->ada->fresh()->controls()->keys()['cut'])->toBe('KeyY')->and($this->ben->fresh()->controls()->keys()['cut'])->toBe('KeyK');
    $this->putJson('/controls', ['keys' => ['cut' => 'no such key at all']])->assertStatus(422);
});

it('lets a press count from when it was made, never in the future and never before the last one', function (): void {
    $at = fn (int $ms): int => $this->postJson("{$this->path}/commands", ['id' => (string) Str::uuid(), 'type' => 'cover', 'at' => $ms])->assertOk()->json('at');
    $now = (int) now()->getTimestampMs();
    expect($at($now - 5000))->toBe($now - 5000)
        ->and($at($now - 9000))->toBe($now - 5000)
        ->and($at($now + 60_000))->toBeLessThan($now + 10_000);
    $this->postJson("{$this->path}/commands", ['id' => (string) Str::uuid(), 'type' => 'cover', 'at' => 'yesterday'])->assertStatus(422);
});

it('gives the plan of a transition as it was chosen, and the worker with its list of files', function (): void {
    $this->getJson("{$this->path}/transition?key=".urlencode('dip~linear~20~#ffffff'))->assertOk()->assertJsonPath('colour', '#ffffff');
    $this->getJson("{$this->path}/transition?key=nothing")->assertStatus(422);
    $this->get('/away.js')->assertOk()->assertHeader('Service-Worker-Allowed', '/')->assertSee('/build/assets/', false);
    $this->getJson('/token')->assertOk()->assertJsonStructure(['token']);
});
