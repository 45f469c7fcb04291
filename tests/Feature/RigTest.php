<?php

use App\Models\AsRunEntry;
use App\Models\JoinLink;
use App\Models\SignalWatch;
use App\Shows\Replay;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Rhetorix\Core\Support\Refusal;

beforeEach(function (): void {
    $this->ada = $this->person('Ada');
    $this->reading = $this->show($this->ada);
    $this->path = "/shows/{$this->reading->id}";
    $this->actingAs($this->ada);
    $this->say = fn (string $type, array $more = []) => $this->command($this->reading, $this->ada, $type, $more);
    $this->deck = function (string $name, string $file): string {
        $upload = $this->uploaded($this->reading, $this->ada, $file, (string) file_get_contents(base_path("standins/decks/{$file}")));
        $medium = $this->postJson("{$this->path}/media", ['upload' => $upload->id])->json('medium');
        ($this->say)('source.connect', ['name' => $name, 'kind' => 'deck', 'settings' => ['medium' => $medium]]);

        return $this->reading->sources()->where('name', $name)->firstOrFail()->id;
    };
});

it('shows a source as it was handled, in every picture that uses it, and only those are sent again', function (): void {
    [$bench, $face] = [$this->connect($this->reading, $this->ada, 'Bench'), $this->connect($this->reading, $this->ada, 'Face')];
    ($this->say)('picture.make', ['name' => 'Both', 'layout' => ['layout' => 'inset', 'corner' => 'top-left', 'size' => 0.3], 'fills' => ['large' => $face, 'inset' => $bench]]);
    $answer = ($this->say)('handle', ['source' => $bench, 'framing' => ['orientation' => 'r180']]);
    expect(collect($answer['pages'])->pluck('name')->sort()->values()->all())->toBe(['Bench', 'Both'])
        ->and($answer)->not->toHaveKey('book')
        ->and($answer['sources'][$bench]['seen']['turn'])->toBe(2);
    $state = $this->getJson("{$this->path}/state")->json();
    $layer = collect($state['book']['pictures'])->firstWhere('name', 'Bench')['plan']['layers'][0];
    expect($layer['turn'])->toBe(2)->and($state['desk']['handlings'][$bench]['framing']['orientation'])->toBe('r180');
    // freezing does not change a plan
    expect(($this->say)('handle', ['source' => $bench, 'frozen' => true]))->not->toHaveKey('pages');
    expect((new Replay)->of($this->reading)->toArray())->toEqual($this->reading->desk->fresh()->toDesk()->toArray());
});

it('refuses to handle what is not there', function (): void {
    expect(fn () => ($this->say)('handle', ['source' => (string) Str::uuid(), 'frozen' => true]))->toThrow(Refusal::class, 'not in the show')
        ->and(fn () => ($this->say)('page', ['group' => (string) Str::uuid(), 'position' => 2]))->toThrow(Refusal::class, 'not in the show');
});

it('turns two linked decks with one press, also when one has fewer pages', function (): void {
    [$slides, $notes] = [($this->deck)('Slides', 'slides.pdf'), ($this->deck)('Notes', 'notes.pdf')];
    ($this->say)('source.link', ['source' => $notes, 'to' => $slides]);
    $deck = fn (string $source): array => $this->getJson("{$this->path}/state")->json("book.sources.{$source}.deck");
    $group = $deck($slides)['group'];
    expect($deck($notes)['group'])->toBe($group)->and($deck($notes)['shows'])->toHaveCount(12)->and($deck($notes)['shows'][11])->toBe(11);
    expect(($this->say)('page', ['group' => $group, 'position' => 12])['desk']['positions']->{$group})->toBe(12);
    expect(fn () => ($this->say)('page', ['group' => $group, 'position' => 13]))->toThrow(Refusal::class, 'the last one is 12');
    // taken apart again, it stays where it is
    $answer = ($this->say)('source.link', ['source' => $notes, 'to' => 'none']);
    $own = $deck($notes)['group'];
    expect($own)->not->toBe($group)->and($answer['desk']['positions']->{$own})->toBe(12);
    expect((new Replay)->of($this->reading)->toArray())->toEqual($this->reading->desk->fresh()->toDesk()->toArray())
        ->and(fn () => ($this->say)('source.link', ['source' => $slides, 'to' => $this->connect($this->reading, $this->ada, 'Face')]))->toThrow(Refusal::class, 'has no pages');
});

it('sets each kind of source, and only what it has', function (string $kind, array $first, array $set, array $after): void {
    ($this->say)('source.connect', ['name' => 'It', 'kind' => $kind, 'settings' => $first]);
    $source = $this->reading->sources()->firstOrFail();
    ($this->say)('source.set', ['source' => $source->id, 'settings' => $set]);
    expect($source->fresh()->settings)->toEqual($after);
})->with([
    'camera' => ['camera', ['device' => 'd1', 'label' => 'Cam'], ['width' => 640, 'height' => 480, 'rate' => 15, 'device' => 'd2'], ['device' => 'd1', 'label' => 'Cam', 'width' => 640, 'height' => 480, 'rate' => 15]],
    'screen' => ['screen', [], ['detail' => 'smooth'], ['detail' => 'smooth']],
    'colour' => ['colour', ['colour' => '#AABBCC'], ['colour' => '#102030'], ['colour' => '#102030']],
    'test picture' => ['test-picture', ['pattern' => 'bars-hd'], ['pattern' => 'grid'], ['pattern' => 'grid']],
    'guest' => ['guest', [], ['device' => 'x'], []],
]);

it('names what cannot be set', function (string $kind, array $first, string $word): void {
    expect(fn () => ($this->say)('source.connect', ['name' => 'It', 'kind' => $kind, 'settings' => $first]))->toThrow(Refusal::class, $word);
})->with([
    ['colour', ['colour' => 'blue'], '#1f3350'],
    ['test-picture', ['pattern' => 'plaid'], 'bars-hd'],
    ['camera', ['label' => 'no device'], 'device'],
    ['deck', ['medium' => '0190a0a0-0000-7000-8000-000000000000'], 'Choose the file again'],
    ['network-camera', ['camera' => 'x'], 'Give its address again'],
    ['screen', ['detail' => 'blurred'], 'sharp, smooth'],
]);

it('matches a device that came back only when a person says so', function (): void {
    ($this->say)('source.connect', ['name' => 'Face', 'kind' => 'camera', 'settings' => ['device' => 'd1', 'label' => 'Cam']]);
    ($this->say)('source.connect', ['name' => 'Bench', 'kind' => 'camera', 'settings' => ['device' => 'd2', 'label' => 'Doc cam']]);
    $face = $this->reading->sources()->where('name', 'Face')->firstOrFail();
    $plug = fn (array $devices) => $this->postJson("{$this->path}/devices", ['devices' => array_map(fn (array $d): array => ['kind' => 'camera', 'device' => $d[0], 'label' => $d[1]], $devices)])->assertOk();
    $answer = $plug([['d7', 'Cam'], ['d2', 'Doc cam']]);
    $answer->assertJsonPath("offers.{$face->id}.0.device", 'd7')->assertJsonPath('missing', [$face->id])->assertJsonPath('waiting.0.device', 'd7');
    expect($face->fresh()->settings['device'])->toBe('d1');
    ($this->say)('source.rematch', ['source' => $face->id, 'device' => 'd7', 'label' => 'Cam']);
    $plug([['d7', 'Cam'], ['d2', 'Doc cam']])->assertJsonPath("here.{$face->id}", 'd7')->assertJsonPath('waiting', []);
    expect(fn () => ($this->say)('source.rematch', ['source' => $face->id, 'device' => 'd2', 'label' => 'x']))->toThrow(Refusal::class, '“Bench” already');
});

it('judges the samples of the host, tells everybody what changed, and forgets a host that fell silent', function (): void {
    $bench = $this->connect($this->reading, $this->ada, 'Bench');
    $tab = (string) Str::uuid();
    $this->postJson("{$this->path}/host", ['tab' => $tab, 'wish' => 'keep']);
    $sample = ['lost' => false, 'fps' => 30, 'noise' => [0.8, 0.8], 'moved' => [0, 0], 'mean' => 100, 'dark' => 0, 'spread' => 0, 'clipped' => 0, 'width' => 1280, 'height' => 720];
    $send = fn (array $more = [], ?string $from = null) => $this->postJson("{$this->path}/signals", ['tab' => $from ?? $tab, 'samples' => [$bench => [...$sample, ...$more]], 'host' => ['fps' => 29.8, 'late' => 0.001]]);
    $start = now();
    $send()->assertOk()->assertJsonPath("signals.{$bench}.signal", 'live');
    $this->channel->messages = [];
    foreach (range(1, 4) as $second) {
        Carbon::setTestNow($start->copy()->addSeconds($second));
        $last = $send(['dark' => 1, 'spread' => 0, 'mean' => 16]);
    }
    $last->assertJsonPath("signals.{$bench}.signal", 'black')->assertJsonPath("signals.{$bench}.todo", fn (string $said) => str_contains($said, 'lens cap'));
    expect(array_column($this->channel->messages, 'type'))->toBe(['signals'], 'told once');
    $this->getJson("{$this->path}/state")->assertJsonPath("signals.{$bench}.signal", 'black');
    $this->get("{$this->path}/line-up")->assertOk()->assertSee('black for')->assertSee('29.8 of 30 frames');
    $send([], (string) Str::uuid())->assertStatus(422);
    $send(['mean' => 'bright'])->assertStatus(422);
    Carbon::setTestNow($start->copy()->addSeconds(60));
    expect(SignalWatch::query()->firstOrFail()->findings())->toBe([]);
    $this->get("{$this->path}/line-up")->assertSee('no computer holds the devices');
});

it('finds the black bars of a profile', function (): void {
    $this->postJson("{$this->path}/bars", ['columns' => [...array_fill(0, 100, 16), ...array_fill(0, 120, 200), ...array_fill(0, 100, 16)], 'rows' => array_fill(0, 180, 200)])
        ->assertOk()->assertJsonPath('crop.x', 0.3125)->assertJsonPath('crop.width', 0.375);
    $this->postJson("{$this->path}/bars", ['columns' => 'wide'])->assertOk()->assertJsonPath('crop', null);
});

it('gives a phone its place by a link that can be withdrawn and ends by itself', function (): void {
    ($this->say)('source.connect', ['name' => 'Phone', 'kind' => 'phone', 'settings' => []]);
    $phone = $this->reading->sources()->firstOrFail();
    $link = $phone->joinLink;
    $this->get("{$this->path}/sources/{$phone->id}/link")->assertOk()->assertSee($link->path());
    auth()->forgetUser();
    [$one, $two] = [(string) Str::uuid(), (string) Str::uuid()];
    $this->get($link->path())->assertOk()->assertSee('Phone');
    $this->postJson($link->path().'/here', ['device' => $one])->assertOk();
    $this->postJson($link->path().'/here', ['device' => $two])->assertStatus(422)->assertJsonPath('message', fn (string $said) => str_contains($said, 'Another device'));
    $this->channel->messages = [];
    $this->postJson($link->path().'/offer', ['device' => $one, 'sdp' => 'v=0 offer'])->assertOk();
    expect($this->channel->messages[0])->toMatchArray(['channel' => $this->reading->id, 'type' => 'offer', 'source' => $phone->id, 'device' => $one, 'sdp' => "v=0 offer\r\n"]);
    $this->getJson('/live/authorize'.str_replace('/join/', '/join/', $link->path()))->assertOk();
    // the place is free again when its device was not heard of
    Carbon::setTestNow(now()->addSeconds(20));
    $this->postJson($link->path().'/here', ['device' => $two])->assertOk();

    $this->actingAs($this->ada);
    $this->postJson("{$this->path}/answers", ['source' => $phone->id, 'device' => $two, 'sdp' => 'v=0 answer'])->assertOk();
    expect(end($this->channel->messages))->toMatchArray(['channel' => "join-{$link->secret}", 'type' => 'answer']);
    $this->post("{$this->path}/sources/{$phone->id}/link")->assertOk()->assertDontSee($link->path());
    $new = JoinLink::query()->firstOrFail();
    $this->get($link->path())->assertStatus(410)->assertSee('ended');
    $this->postJson($link->path().'/offer', ['device' => $one, 'sdp' => 'x'])->assertStatus(410);
    $this->get($new->path())->assertOk();
    Carbon::setTestNow(now()->addHours(13));
    $this->get($new->path())->assertStatus(410);
    $this->getJson('/live/authorize'.$new->path())->assertForbidden();
});

it('writes what was done by hand in words', function (): void {
    $bench = $this->connect($this->reading, $this->ada, 'Bench');
    $slides = ($this->deck)('Slides', 'slides.pdf');
    ($this->say)('handle', ['source' => $bench, 'frozen' => true]);
    ($this->say)('page', ['group' => $slides, 'position' => 3]);
    $this->get("{$this->path}/as-run")->assertOk()->assertSee('Bench: frozen')->assertSee('Slides: page 3');
    expect(AsRunEntry::query()->count())->toBe(4);
});

it('keeps the secret of a camera’s login out of all that is sent and written', function (): void {
    $camera = $this->reading->networkCameras()->create(['address' => '192.168.10.20', 'login' => ['user' => 'op', 'password' => 'very-secret-word'], 'maker' => 'Cam', 'stream_uri' => 'http://192.168.10.20/s', 'snapshot_uri' => null]);
    ($this->say)('source.connect', ['name' => 'Room', 'kind' => 'network-camera', 'settings' => ['camera' => $camera->id]]);
    expect($this->getJson("{$this->path}/state")->content())->not->toContain('very-secret-word')
        ->and($this->get("{$this->path}/rig")->content())->not->toContain('very-secret-word')
        ->and(json_encode(AsRunEntry::query()->get()))->not->toContain('very-secret-word')
        ->and(json_encode(DB::table('network_cameras')->get()))->not->toContain('very-secret-word');
});
