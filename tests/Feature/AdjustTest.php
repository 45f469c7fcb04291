<?php

use App\Models\AsRunEntry;
use App\Shows\Replay;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Rhetorix\Core\Support\Refusal;

beforeEach(function (): void {
    $this->ada = $this->person('Ada');
    $this->reading = $this->show($this->ada);
    $this->path = "/shows/{$this->reading->id}";
    $this->actingAs($this->ada);
    $this->say = fn (string $type, array $more = []) => $this->command($this->reading, $this->ada, $type, $more);
    $this->bench = $this->connect($this->reading, $this->ada, 'Bench');
    $this->face = $this->connect($this->reading, $this->ada, 'Face');
});

it('shows what would be and keeps nothing of it', function (): void {
    $tried = $this->postJson("{$this->path}/sources/{$this->bench}/try", ['colour' => ['warmth' => 0.5], 'framing' => ['cut' => ['left' => 0.25, 'top' => 0, 'right' => 0, 'bottom' => 0]]])->assertOk();
    $tried->assertJsonPath('edges.left', 320)->assertJsonPath('handling.colour.warmth', 0.5);
    expect($tried->json('look.colour.tables.0'))->toHaveCount(256)->and($tried->json('plan.layers'))->toHaveCount(1)
        ->and($this->reading->desk->fresh()->toDesk()->handlings->of($this->bench)->isNone())->toBeTrue();
    $this->postJson("{$this->path}/sources/{$this->bench}/try", ['colour' => ['warmth' => 7]])->assertStatus(422)->assertJsonFragment(['message' => 'The field “colour.warmth” must be between -1 and 1.']);
    $this->postJson("{$this->path}/sources/".Str::uuid().'/try', [])->assertNotFound();
});

it('sends a look with the pages that change, and replays it', function (): void {
    $answer = ($this->say)('handle', ['source' => $this->face, 'key' => ['colour' => '#2b9a80'], 'behind' => $this->bench]);
    expect($answer['sources'][$this->face]['look']['key']['colour'])->toBe([43, 154, 128])
        ->and(array_column(collect($answer['pages'])->firstWhere('name', 'Face')['plan']['layers'], 'source'))->toBe([$this->bench, $this->face]);
    // what stands behind is framed otherwise: the picture in front of it is sent again too
    $again = ($this->say)('handle', ['source' => $this->bench, 'framing' => ['orientation' => 'r180']]);
    expect(collect($again['pages'])->pluck('name')->sort()->values()->all())->toBe(['Bench', 'Face'])
        ->and((new Replay)->of($this->reading)->toArray())->toEqual($this->reading->desk->fresh()->toDesk()->toArray())
        ->and(fn () => ($this->say)('handle', ['source' => $this->bench, 'key' => ['tolerance' => 0.2]]))->toThrow(Refusal::class, 'Pick the backing first');
});

it('opens the page of a source that has a picture, and of no other', function (): void {
    $this->get("{$this->path}/sources/{$this->bench}/adjust")->assertOk()->assertSee('Framing')->assertSee('Match with')->assertSee('Face');
    ($this->say)('source.connect', ['name' => 'Mic', 'kind' => 'microphone', 'settings' => ['device' => 'x', 'label' => 'Mic']]);
    $this->get("{$this->path}/sources/{$this->reading->sources()->where('name', 'Mic')->value('id')}/adjust")->assertNotFound();
});

it('works out a match, and says why where it cannot', function (): void {
    $levels = [40, 60, 80, 90, 110, 140, 150, 170, 190];
    $match = fn (array $asked) => $this->postJson("{$this->path}/sources/{$this->bench}/match", $asked);
    $found = $match(['pairs' => [['from' => $levels, 'to' => array_map(fn (int $level): int => $level + 15, $levels)]]])->assertOk();
    expect($found->json('after'))->toBeLessThan($found->json('before'));
    $match(['grey' => [120, 130, 110]])->assertOk()->assertJsonPath('matched.gain_red', fn ($gain): bool => $gain > 0.5 && $gain < 2);
    $match([])->assertStatus(422)->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'pairs'));
    $match(['pairs' => [['from' => [255, 255, 255], 'to' => $levels]]])->assertStatus(422)->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'too bright'));
    $match(['pairs' => [['from' => 'x', 'to' => $levels]]])->assertStatus(422);
});

it('finds the backing, again and for the far end', function (): void {
    $ask = fn (array $asked) => $this->postJson("{$this->path}/sources/{$this->face}/backing", $asked);
    $ask(['patch' => [43, 154, 128, 45, 156, 130, 41, 150, 126]])->assertOk()->assertJsonPath('colour', '#2b9a80');
    $ask(['again' => [43, 154, 128]])->assertStatus(422)->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'Nothing is keyed'));
    ($this->say)('handle', ['source' => $this->face, 'key' => ['colour' => '#2b9a80']]);
    $ask(['again' => [30, 110, 100, 31, 111, 99]])->assertOk()->assertJsonPath('colour', fn (string $colour): bool => in_array($colour, ['#1e6e64', '#1f6f63'], true));
    $ask(['flat' => [40, 200, 60]])->assertOk()->assertJsonPath('colour', fn (string $colour): bool => $colour !== '#00ff00');
    $ask(['patch' => [1, 2]])->assertStatus(422);
    $ask([])->assertStatus(422);
});

/** A page with one line of writing, as an upload. */
function pageWith(string $words): UploadedFile
{
    $image = imagecreatetruecolor(1280, 720);
    imagefill($image, 0, 0, (int) imagecolorallocate($image, 250, 248, 240));
    imagestring($image, 3, 80, 300, $words, (int) imagecolorallocate($image, 20, 30, 50));
    $file = tempnam(sys_get_temp_dir(), 'page');
    imagepng($image, $file);

    return new UploadedFile($file, 'page.png', 'image/png', null, true);
}

it('measures the writing of a picture', function (): void {
    $ask = fn (mixed $image, string $far = 'window') => $this->post("{$this->path}/reading", ['image' => $image, 'far_end' => $far], ['Accept' => 'application/json']);
    $found = $ask(pageWith('the quick stone rolls over a hundred smaller ones'))->assertOk()->assertJsonPath('readable', false);
    expect($found->json('writing.0.x_height'))->toBeGreaterThan(4)->toBeLessThan(9)->and($found->json('sentence'))->toContain('cannot be read');
    $ask(pageWith('the quick stone rolls over a hundred smaller ones'), 'screen')->assertOk()->assertJsonPath('readable', true);
    $ask(pageWith(''))->assertOk()->assertJsonPath('sentence', 'No writing was found.');
    $ask(UploadedFile::fake()->create('page.png', 10, 'image/png'))->assertStatus(422)->assertJsonPath('message', fn (string $said): bool => str_contains($said, '1920 × 1080'));
    $ask('nothing')->assertStatus(422);
    $ask(pageWith(''), 'moon')->assertStatus(422);
});

it('keeps what a camera is set to at the device, within its ranges', function (): void {
    ($this->say)('source.connect', ['name' => 'Cam', 'kind' => 'camera', 'settings' => ['device' => 'x', 'label' => 'Cam']]);
    $camera = $this->reading->sources()->where('name', 'Cam')->firstOrFail();
    ($this->say)('source.set', ['source' => $camera->id, 'settings' => ['exposure_mode' => 'manual', 'exposure_time' => 120]]);
    expect($camera->fresh()->settings)->toMatchArray(['exposure_mode' => 'manual', 'exposure_time' => 120])
        ->and(fn () => ($this->say)('source.set', ['source' => $camera->id, 'settings' => ['colour_temperature' => 5]]))->toThrow(Refusal::class, 'colour_temperature');
});

it('measures a computer, forecasts and advises', function (): void {
    $tab = (string) Str::uuid();
    $this->postJson("{$this->path}/host", ['tab' => $tab, 'wish' => 'take']);
    $measured = ['copy' => 9, 'each' => 0.4, 'look' => 20, 'busy' => 0.4];
    $this->postJson("{$this->path}/budget", ['tab' => (string) Str::uuid(), ...$measured])->assertStatus(422);
    $this->postJson("{$this->path}/budget", ['tab' => $tab, ...$measured, 'copy' => 'fast'])->assertStatus(422);
    $this->postJson("{$this->path}/budget", ['tab' => $tab, ...$measured])->assertOk()->assertJsonPath('busy', fn ($busy): bool => abs($busy - 0.4) < 0.02);
    $this->get("{$this->path}/rig")->assertOk()->assertSee('This computer holds it');
    ($this->say)('source.connect', ['name' => 'Large', 'kind' => 'camera', 'settings' => ['device' => 'x', 'label' => 'L', 'width' => 3840, 'height' => 2160, 'rate' => 30]]);
    $large = $this->reading->sources()->where('name', 'Large')->value('id');
    ($this->say)('source.measured', ['source' => $large, 'width' => 3840, 'height' => 2160]);
    $this->get("{$this->path}/rig")->assertOk()->assertSee('It is too much')->assertSee('Large: 1280 × 720');
});

it('steps quality down while frames are late, says and logs it, and comes back', function (): void {
    $tab = (string) Str::uuid();
    $this->postJson("{$this->path}/host", ['tab' => $tab, 'wish' => 'take']);
    $send = fn (float $late) => $this->postJson("{$this->path}/signals", ['tab' => $tab, 'samples' => [], 'host' => ['fps' => 25, 'late' => $late]])->json('quality');
    $run = function (int $seconds, float $late) use ($send, $tab): array {
        foreach (range(1, $seconds) as $_) {
            Carbon::setTestNow(now()->addSecond());
            $this->postJson("{$this->path}/host", ['tab' => $tab, 'wish' => 'keep']);
            $quality = $send($late);
        }

        return $quality;
    };
    expect($run(3, 0.0)['level'])->toBe(0);
    $low = $run(12, 0.5);
    expect($low['level'])->toBeGreaterThan(1)->and($low['miniatures'])->toBeLessThan(8)
        ->and($this->getJson("{$this->path}/state")->json('quality.level'))->toBe($low['level']);
    expect($run(12 * $low['level'], 0.0)['level'])->toBe(0);
    $logged = AsRunEntry::query()->where('show_id', $this->reading->id)->where('type', 'host.quality')->orderBy('revision')->get();
    expect($logged)->toHaveCount(2 * $low['level'])->and($logged->first()->events[0]['detail'])->toStartWith('Frames ran late')
        ->and($logged->last()->events[0]['detail'])->toEndWith('everything as chosen');
    $this->get("{$this->path}/as-run")->assertOk()->assertSee('Frames ran late on the computer with the devices: miniatures 4 times a second');
    expect((new Replay)->of($this->reading)->toArray())->toEqual($this->reading->desk->fresh()->toDesk()->toArray());
    // nobody else says this
    $this->postJson("{$this->path}/commands", ['id' => '9', 'type' => 'host.quality', 'level' => 3, 'before' => 0])->assertStatus(422);
});
