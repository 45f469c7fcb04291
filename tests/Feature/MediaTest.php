<?php

use App\Models\Upload;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;

beforeEach(function (): void {
    array_map(unlink(...), glob(storage_path('uploads/*')) ?: []);
    $this->ada = $this->person('Ada');
    $this->reading = $this->show($this->ada);
    $this->path = "/shows/{$this->reading->id}";
    $this->actingAs($this->ada);
    $this->bring = fn (string $name, string $contents) => $this->postJson("{$this->path}/media", ['upload' => $this->uploaded($this->reading, $this->ada, $name, $contents)->id]);
});

/** A few seconds made by ffmpeg. */
function clipOf(string $ending, string ...$how): string
{
    $file = tempnam(sys_get_temp_dir(), 'clip').".{$ending}";
    Process::run(['ffmpeg', '-v', 'error', '-y', ...$how, $file])->throw();
    $contents = (string) file_get_contents($file);
    unlink($file);

    return $contents;
}

function png(int $width, int $height): string
{
    $image = UploadedFile::fake()->image('x.png', $width, $height);

    return (string) file_get_contents($image->getPathname());
}

it('takes each kind of file for what it is', function (string $name, Closure $contents, array $facts, string $type): void {
    $answer = ($this->bring)($name, $contents())->assertCreated();
    expect($answer->json())->toMatchArray($facts);
    $this->get("{$this->path}/media/{$answer->json('medium')}")->assertOk()
        ->assertHeader('Content-Type', $type)->assertHeader('X-Content-Type-Options', 'nosniff')
        ->assertHeader('X-Accel-Redirect')->assertHeader('Content-Security-Policy');
    $this->command($this->reading, $this->ada, 'source.connect', ['name' => 'New', 'kind' => $facts['kind'], 'settings' => ['medium' => $answer->json('medium')]]);
    $source = $this->reading->sources()->firstOrFail();
    expect([$source->width, $source->height])->toBe([$facts['width'], $facts['height']])
        ->and($this->reading->pictures()->count())->toBe($facts['width'] === null ? 0 : 1);
})->with([
    'an image' => ['thin section.png', fn () => png(600, 400), ['kind' => 'still', 'width' => 600, 'height' => 400, 'name' => 'thin section'], 'image/png'],
    'an image with another ending' => ['section.pdf', fn () => png(60, 40), ['kind' => 'still', 'width' => 60, 'height' => 40], 'image/png'],
    'a plain drawing' => ['mark.svg', fn () => '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 30"><path d="M0 0h40v30z" fill="#234a7d"/></svg>', ['kind' => 'still', 'width' => 1920, 'height' => 1440], 'image/svg+xml'],
    'a deck' => ['slides.pdf', fn () => (string) file_get_contents(base_path('standins/decks/slides.pdf')), ['kind' => 'deck', 'width' => 1920, 'height' => 1080, 'pages' => 12], 'application/pdf'],
    'a clip' => ['clip.mp4', fn () => clipOf('mp4', '-f', 'lavfi', '-i', 'testsrc=size=320x240:rate=10:duration=2', '-pix_fmt', 'yuv420p'), ['kind' => 'clip', 'width' => 320, 'height' => 240, 'length_ms' => 2000], 'video/mp4'],
    'music' => ['tune.ogg', fn () => (string) file_get_contents(base_path('standins/tune/tune.ogg')), ['kind' => 'clip', 'width' => null, 'height' => null, 'length_ms' => 24007], 'application/ogg'],
]);

it('says what is wrong with a file, and keeps nothing of it', function (string $name, Closure $contents, string $word): void {
    ($this->bring)($name, $contents())->assertStatus(422)->assertJsonPath('message', fn (string $said) => str_contains($said, $word));
    expect($this->reading->media()->count())->toBe(0)->and(Upload::query()->count())->toBe(0)
        ->and(glob(storage_path('uploads/*')))->toBe([]);
})->with([
    '0 bytes' => ['a.png', fn () => '', '0 bytes'],
    'a text with the ending of a clip' => ['talk.mp4', fn () => 'Dear all, this is no clip.', 'whatever its name says'],
    'bytes of no meaning' => ['a.mp4', fn () => random_bytes(5000), 'whatever its name says'],
    'half a deck' => ['slides.pdf', fn () => substr((string) file_get_contents(base_path('standins/decks/slides.pdf')), 0, 900), 'cannot be read to its end'],
    'an image cut off after its header' => ['a.png', fn () => substr(png(300, 300), 0, 60), 'cannot be read to its end'],
    'more pixels than can be shown' => ['a.png', fn () => "\x89PNG\r\n\x1a\n\0\0\0\rIHDR".pack('NN', 40000, 40000)."\x08\x02\0\0\0", '40000×40000'],
    'an image of 26 MB' => ['a.png', fn () => png(10, 10).str_repeat("\0", 26 * 1_048_576), '25 MB'],
    'a clip that browsers cannot play' => ['a.avi', fn () => clipOf('mkv', '-f', 'lavfi', '-i', 'testsrc=size=64x64:rate=5:duration=1', '-c:v', 'mpeg2video'), 'MP4'],
    'a recording that was cut off' => ['a.webm', fn () => substr(clipOf('webm', '-f', 'lavfi', '-i', 'testsrc=size=320x240:rate=10:duration=3', '-c:v', 'libvpx', '-live', '1'), 0, 20_000), 'how long it is'],
]);

it('lets no drawing in that runs or fetches anything', function (string $inside): void {
    ($this->bring)('a.svg', "<svg xmlns=\"http://www.w3.org/2000/svg\" xmlns:xlink=\"http://www.w3.org/1999/xlink\" viewBox=\"0 0 10 10\">{$inside}</svg>")
        ->assertStatus(422)->assertJsonPath('message', fn (string $said) => str_contains($said, 'scripts'));
})->with([
    'a script' => ['<script>alert(1)</script>'],
    'a script in another name space' => ['<g xmlns:h="http://www.w3.org/1999/xhtml"><h:script>alert(1)</h:script></g>'],
    'a handler' => ['<rect width="5" height="5" onload="alert(1)"/>'],
    'a link that runs' => ['<a xlink:href="java&#10;script:alert(1)"><rect width="5" height="5"/></a>'],
    'a page inside' => ['<foreignObject><p>hello</p></foreignObject>'],
    'an image from elsewhere' => ['<image href="https://example.test/spy.png" width="5" height="5"/>'],
    'a style from elsewhere' => ['<style>@import url(https://example.test/a.css);</style>'],
    'a fill from elsewhere' => ['<rect width="5" height="5" fill="url(https://example.test/p.svg#a)"/>'],
]);

it('lets no drawing open other files', function (): void {
    ($this->bring)('a.svg', '<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]><svg xmlns="http://www.w3.org/2000/svg">&x;</svg>')->assertStatus(422);
});

it('brings a file in pieces and goes on after a break, as the tus protocol says', function (): void {
    $contents = png(200, 100);
    $half = intdiv(strlen($contents), 2);
    $tus = ['Tus-Resumable' => '1.0.0'];
    $location = $this->post("{$this->path}/uploads", [], [...$tus, 'Upload-Length' => (string) strlen($contents), 'Upload-Metadata' => 'filename '.base64_encode('section.png').',other eA=='])
        ->assertCreated()->assertHeader('Tus-Resumable', '1.0.0')->headers->get('Location');
    $piece = fn (int $offset, string $bytes) => $this->call('PATCH', (string) $location, [], [], [], ['HTTP_TUS_RESUMABLE' => '1.0.0', 'HTTP_UPLOAD_OFFSET' => (string) $offset, 'CONTENT_TYPE' => 'application/offset+octet-stream'], $bytes);

    $piece(0, substr($contents, 0, $half))->assertNoContent()->assertHeader('Upload-Offset', (string) $half);
    // the same piece again, and one from the wrong place: nothing is written twice
    $piece(0, substr($contents, 0, $half))->assertStatus(409);
    $this->call('HEAD', (string) $location)->assertOk()->assertHeader('Upload-Offset', (string) $half)->assertHeader('Upload-Length', (string) strlen($contents));
    $upload = Str::afterLast((string) $location, '/');
    $this->postJson("{$this->path}/media", ['upload' => $upload])->assertStatus(422)->assertJsonPath('message', fn (string $said) => str_contains($said, 'goes on where it stopped'));
    $piece($half, substr($contents, $half).'more than was announced')->assertNoContent()->assertHeader('Upload-Offset', (string) strlen($contents));
    $this->postJson("{$this->path}/media", ['upload' => $upload])->assertCreated()->assertJsonPath('name', 'section');
});

it('refuses a file of 5 GB before a byte of it has come', function (): void {
    $this->post("{$this->path}/uploads", [], ['Accept' => 'application/json', 'Upload-Length' => (string) (5 * 1024 ** 3)])
        ->assertStatus(422)->assertJsonPath('message', fn (string $said) => str_contains($said, '2000 MB'));
    $this->post("{$this->path}/uploads", [], ['Accept' => 'application/json', 'Upload-Length' => '0'])->assertStatus(422);
    $this->post("{$this->path}/uploads", [], ['Accept' => 'application/json', 'Upload-Length' => 'many'])->assertStatus(400);
    expect(Upload::query()->count())->toBe(0);
});

it('lets nobody go on with the file of another show', function (): void {
    $ben = $this->person('Ben');
    $other = $this->show($ben);
    $upload = $this->uploaded($other, $ben, 'a.png', png(10, 10));
    $this->patchJson("{$this->path}/uploads/{$upload->id}")->assertNotFound();
    $this->postJson("{$this->path}/media", ['upload' => $upload->id])->assertNotFound();
});

it('gives up what nobody went on with for days, and keeps what is fresh', function (): void {
    $old = $this->uploaded($this->reading, $this->ada, 'old.png', 'half a file');
    $fresh = $this->uploaded($this->reading, $this->ada, 'fresh.png', 'half a file');
    Upload::query()->whereKey($old->id)->update(['updated_at' => now()->subDays(3)]);
    $this->post("{$this->path}/uploads", [], ['Upload-Length' => '100'])->assertCreated();
    expect(Upload::query()->whereKey($old->id)->exists())->toBeFalse()->and(is_file($old->path()))->toBeFalse()
        ->and(is_file($fresh->path()))->toBeTrue();
    unlink($fresh->path());
});
