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
    $ask($two, 'release');
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

it('takes an image as a still, whose size the plans know at once', function (): void {
    $medium = $this->post("{$this->path}/media", ['file' => UploadedFile::fake()->image('thin section.png', 600, 400)])->assertCreated()->json('medium');
    $this->command($this->reading, $this->ada, 'source.connect', ['name' => 'Section', 'kind' => 'still', 'settings' => ['medium' => $medium]]);
    $source = $this->reading->sources()->firstOrFail();

    expect([$source->width, $source->height])->toBe([600, 400]);
    $this->get("{$this->path}/media/{$medium}")->assertOk()->assertHeader('Content-Type', 'image/png')->assertHeader('X-Content-Type-Options', 'nosniff');
});

it('says what is wrong with a file, and keeps nothing of it', function (Closure $file, string $word): void {
    $this->post("{$this->path}/media", ['file' => $file()], ['Accept' => 'application/json'])->assertStatus(422)->assertJsonPath('message', fn (string $said) => str_contains($said, $word));
    expect($this->reading->media()->count())->toBe(0);
})->with([
    'nothing' => [fn () => null, 'No file arrived'],
    '0 bytes' => [fn () => UploadedFile::fake()->createWithContent('a.png', ''), '0 bytes'],
    'another kind with the ending of an image' => [fn () => UploadedFile::fake()->createWithContent('a.png', '%PDF-1.7 not an image'), 'not an image'],
    'a drawing with scripts' => [fn () => UploadedFile::fake()->createWithContent('a.svg', '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'), 'not an image'],
    'cut off after the header' => [function () {
        $whole = UploadedFile::fake()->image('x.png', 300, 300);

        return UploadedFile::fake()->createWithContent('a.png', substr((string) file_get_contents($whole->getPathname()), 0, 60));
    }, 'cannot be read to its end'],
    'more pixels than can be shown' => [fn () => UploadedFile::fake()->createWithContent('a.png', "\x89PNG\r\n\x1a\n\0\0\0\rIHDR".pack('NN', 40000, 40000)."\x08\x02\0\0\0"), '40000×40000'],
    'too large' => [fn () => UploadedFile::fake()->image('a.png', 10, 10)->size(26 * 1024), '25 MB'],
]);

it('lays out a picture that nobody has made yet', function (): void {
    [$a, $b] = [$this->connect($this->reading, $this->ada, 'A'), $this->connect($this->reading, $this->ada, 'B')];
    $wish = ['layout' => ['layout' => 'inset', 'corner' => 'top-left', 'size' => 0.5, 'margin' => 0], 'fills' => ['large' => $a, 'inset' => $b]];
    $this->postJson("{$this->path}/plan", $wish)->assertOk()->assertJsonPath('plan.layers.1.dest', ['x' => 0, 'y' => 0, 'width' => 640, 'height' => 360]);
    $this->postJson("{$this->path}/plan", ['layout' => 'inset'])->assertStatus(422);
    expect($this->reading->pictures()->count())->toBe(2);
});

it('says whether it is well', function (): void {
    $this->getJson('/up')->assertOk()->assertJson(['ok' => true]);
    $this->channel->isDown = true;
    $this->getJson('/up')->assertStatus(503)->assertJsonStructure(['wrong' => ['live']]);
});
