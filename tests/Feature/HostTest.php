<?php

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->ada = $this->person('Ada');
    $this->reading = $this->show($this->ada);
    $this->path = "/shows/{$this->reading->id}";
    $this->actingAs($this->ada);
});

it('has one picture host at a time, and lets another take over', function (): void {
    [$one, $two] = [(string) Str::uuid(), (string) Str::uuid()];
    $ask = fn (string $tab, string $wish = 'keep') => $this->postJson("{$this->path}/host", ['tab' => $tab, 'wish' => $wish])->assertOk()->json('host');

    expect($ask($one))->toBeTrue()->and($ask($two))->toBeFalse()->and($ask($one))->toBeTrue()
        ->and($ask($two, 'take'))->toBeTrue()->and($ask($one))->toBeFalse();
    // a tab that is loaded again keeps it; one that is gone leaves it soon
    $ask($two, 'release');
    expect($ask($one))->toBeFalse()->and($ask($two))->toBeTrue();
    $ask($two, 'release');
    Carbon::setTestNow(now()->addSeconds(5));
    expect($ask($one))->toBeTrue();
    Carbon::setTestNow(now()->addSeconds(7)); // nothing heard for longer than the lease
    expect($ask($two))->toBeTrue();
    $this->postJson("{$this->path}/host", ['tab' => 'x', 'wish' => 'keep'])->assertStatus(422);
});

it('tells everybody when the host changes', function (): void {
    $this->channel->messages = [];
    $tab = (string) Str::uuid();
    $this->postJson("{$this->path}/host", ['tab' => $tab, 'wish' => 'keep']);
    $this->postJson("{$this->path}/host", ['tab' => $tab, 'wish' => 'keep']);

    expect($this->channel->messages)->toHaveCount(1)->and($this->channel->messages[0])->toMatchArray(['type' => 'host', 'tab' => $tab, 'holder' => 'Ada']);
});

it('passes stills from the host to panels, and takes them from nobody else', function (): void {
    $host = (string) Str::uuid();
    $send = fn (string $tab) => $this->post("{$this->path}/stills", ['tab' => $tab, 'map' => '{"a":[0,0,10,10]}', 'image' => UploadedFile::fake()->image('s.jpg', 40, 30)], ['Accept' => 'application/json']);

    $this->get("{$this->path}/stills")->assertNoContent();
    $this->postJson("{$this->path}/host", ['tab' => $host, 'wish' => 'keep'])->assertJsonPath('stills_wanted', false);
    $this->get("{$this->path}/stills");
    $this->postJson("{$this->path}/host", ['tab' => $host, 'wish' => 'keep'])->assertJsonPath('stills_wanted', true);
    $send((string) Str::uuid())->assertStatus(422);
    $send($host)->assertNoContent();
    $answer = $this->get("{$this->path}/stills")->assertOk();
    expect(rawurldecode($answer->headers->get('X-Stills-Map')))->toBe('{"a":[0,0,10,10]}');
});

it('lays out a picture that nobody has made yet', function (): void {
    [$a, $b] = [$this->connect($this->reading, $this->ada, 'A'), $this->connect($this->reading, $this->ada, 'B')];
    $wish = ['layout' => ['layout' => 'inset', 'corner' => 'top-left', 'size' => 0.5, 'margin' => 0], 'fills' => ['large' => $a, 'inset' => $b]];
    $this->postJson("{$this->path}/compose", $wish)->assertOk()->assertJsonPath('plan.layers.1.dest', ['x' => 0, 'y' => 0, 'width' => 640, 'height' => 360]);
    $this->postJson("{$this->path}/compose", ['layout' => 'inset'])->assertStatus(422);
    expect($this->reading->pictures()->count())->toBe(2);
});

it('says whether it is well', function (): void {
    $this->getJson('/up')->assertOk()->assertJson(['ok' => true]);
    $this->channel->isDown = true;
    $this->getJson('/up')->assertStatus(503)->assertJsonStructure(['wrong' => ['live']]);
});
