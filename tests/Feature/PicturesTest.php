<?php

// Pictures composed by hand: kept, changed on air, filled, put in order, copied, saved and brought.

use App\Models\AsRunEntry;
use App\Shows\Replay;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use Rhetorix\Core\Support\Refusal;

beforeEach(function (): void {
    $this->ada = $this->person('Ada');
    $this->reading = $this->show($this->ada);
    $this->path = "/shows/{$this->reading->id}";
    $this->actingAs($this->ada);
    $this->say = fn (string $type, array $more = []) => $this->command($this->reading, $this->ada, $type, $more);
    [$this->bench, $this->face] = [$this->connect($this->reading, $this->ada, 'Bench'), $this->connect($this->reading, $this->ada, 'Face')];
    $this->make = function (string $name, array $windows, array $fills): string {
        ($this->say)('picture.make', ['name' => $name, 'layout' => freeWindows($windows), 'fills' => $fills]);

        return $this->reading->pictures()->where('name', $name)->firstOrFail()->id;
    };
    $this->both = fn (string $name = 'Both'): string => ($this->make)($name, [['slot' => 'a', 'purpose' => 'material'], ['slot' => 'b', 'purpose' => 'person', 'x' => 900, 'y' => 400, 'width' => 240, 'height' => 240, 'shape' => 'circle']], ['a' => $this->bench, 'b' => $this->face]);
    $this->names = fn (): array => array_map(fn (string $id): string => (string) $this->reading->allPictures()->find($id)?->name, $this->reading->desk->fresh()->toDesk()->onAir());
    $this->sameAgain = fn () => expect((new Replay)->of($this->reading)->toArray())->toEqual($this->reading->desk->fresh()->toDesk()->toArray());
});

/**
 * @param  list<array<string, mixed>>  $windows
 * @return array<string, mixed>
 */
function freeWindows(array $windows): array
{
    return ['layout' => 'free', 'canvas' => ['width' => 1280, 'height' => 720], 'windows' => array_map(fn (array $window): array => ['x' => 0, 'y' => 0, 'width' => 1280, 'height' => 720, ...$window], $windows)];
}

it('keeps a picture that was composed by hand, with an empty place for a guest', function (): void {
    $id = ($this->make)('Later', [['slot' => 'a', 'purpose' => 'material'], ['slot' => 'b', 'purpose' => 'guest', 'width' => 300, 'height' => 200]], ['a' => $this->bench]);
    $page = $this->getJson("{$this->path}/state")->json("book.pictures.{$id}");
    expect(array_column($page['plan']['layers'], 'key'))->toBe(['a', 'b'])->and($page['plan']['layers'][1]['card']['lines'][0]['text'])->toBe('Place for a guest')
        ->and($page['places'])->toBe([['slot' => 'a', 'purpose' => 'material', 'label' => 'Material', 'source' => $this->bench], ['slot' => 'b', 'purpose' => 'guest', 'label' => 'A guest', 'source' => null]]);
    ($this->say)('picture.fill', ['picture' => $id, 'slot' => 'b', 'source' => $this->face]);
    expect($this->getJson("{$this->path}/state")->json("book.pictures.{$id}.visible"))->toContain($this->face)
        ->and(fn () => ($this->say)('picture.fill', ['picture' => $id, 'slot' => 'z', 'source' => $this->face]))->toThrow(Refusal::class, 'one of: a, b');
});

it('gives two pictures when one layout is filled twice', function (): void {
    $layout = freeWindows([['slot' => 'a'], ['slot' => 'b', 'width' => 200, 'height' => 200]]);
    ($this->say)('picture.make', ['layout' => $layout, 'fills' => ['a' => $this->bench, 'b' => $this->face]]);
    ($this->say)('picture.make', ['layout' => $layout, 'fills' => ['a' => $this->face, 'b' => $this->bench]]);
    expect($this->reading->pictures()->whereNull('own_source_id')->pluck('name')->all())->toBe(['Bench + Face', 'Face + Bench']);
    // a name that only says what is in it goes with it
    ($this->say)('picture.fill', ['picture' => $this->reading->pictures()->where('name', 'Face + Bench')->firstOrFail()->id, 'slot' => 'b']);
    expect($this->reading->pictures()->where('name', 'Face')->whereNull('own_source_id')->count())->toBe(1);
});

it('leaves program as it was until the changed picture is taken', function (): void {
    $id = ($this->both)();
    ($this->say)('cut', ['picture' => $id]);
    $moved = freeWindows([['slot' => 'a', 'purpose' => 'material'], ['slot' => 'b', 'x' => 20, 'y' => 20, 'width' => 100, 'height' => 100]]);
    $answer = ($this->say)('picture.change', ['picture' => $id, 'layout' => $moved, 'fills' => ['a' => $this->bench, 'b' => $this->face], 'when' => 'next-take']);
    [$on] = $answer['program'];
    expect($on)->not->toBe($id)->and($answer['preview'])->toBe($id)
        ->and($answer['book']['pictures'][$on]['plan']['layers'][1]['dest']['x'])->toEqual(900)
        ->and($answer['book']['pictures'][$id]['plan']['layers'][1]['dest']['x'])->toEqual(20)
        ->and($answer['book']['pictures'][$on]['name'])->toBe('Both (as it was)')
        ->and($this->reading->pictures()->whereKey($on)->exists())->toBeFalse();
    $answer = ($this->say)('cut', ['picture' => $id]);
    expect($answer['program'])->toBe([$id])->and($answer['preview'])->toBe($on);
    ($this->sameAgain)();
    // once nothing shows it any more, and no undo brings it back, it is gone
    ($this->say)('arm', ['picture' => $this->reading->pictures()->where('name', 'Face')->firstOrFail()->id]);
    ($this->say)('arm', ['picture' => 'holding']);
    ($this->say)('picture.place', ['picture' => $id, 'name' => 'Renamed']);
    expect($this->reading->allPictures()->whereKey($on)->exists())->toBeFalse();
    ($this->sameAgain)();
});

it('glides to a picture that was changed on program', function (): void {
    $id = ($this->both)();
    ($this->say)('cut', ['picture' => $id]);
    $answer = ($this->say)('picture.change', ['picture' => $id, 'layout' => freeWindows([['slot' => 'a']]), 'fills' => ['a' => $this->face], 'when' => 'glide']);
    expect($answer['transition']['kind'])->toBe('glide')->and($answer['transition']['to'])->toBe($id)->and($answer['program'])->toHaveCount(2);
    ($this->sameAgain)();
    // one that is not on program simply changes
    $other = ($this->both)('Other');
    $answer = ($this->say)('picture.change', ['picture' => $other, 'layout' => freeWindows([['slot' => 'a']]), 'fills' => ['a' => $this->face], 'when' => 'glide']);
    expect($answer['transition']['to'])->toBe($id)->and($this->reading->allPictures()->where('retired', true)->count())->toBe(1);
});

it('empties the places of a source that is removed, but not while they are on program', function (): void {
    $id = ($this->both)();
    ($this->say)('cut', ['picture' => $id]);
    expect(fn () => ($this->say)('source.remove', ['source' => $this->face]))->toThrow(Refusal::class, '“Both”, which is on program');
    ($this->say)('cut', ['picture' => 'holding']);
    ($this->say)('arm', ['picture' => 'holding']);
    ($this->say)('source.remove', ['source' => $this->face]);
    expect($this->getJson("{$this->path}/state")->json("book.pictures.{$id}.plan.layers.1.card.lines.0.text"))->toBe('Place for a person')
        ->and(AsRunEntry::query()->where('show_id', $this->reading->id)->where('type', 'source.remove')->firstOrFail()->events[0]['detail'])->toContain('empty in: Both');
});

it('puts pictures in order, in groups and on keys', function (): void {
    [$one, $two, $three] = [($this->both)('One'), ($this->both)('Two'), ($this->both)('Three')];
    ($this->say)('picture.place', ['picture' => $three, 'before' => $one]);
    expect($this->reading->pictures()->whereIn('id', [$one, $two, $three])->pluck('name')->all())->toBe(['Three', 'One', 'Two']);
    ($this->say)('picture.place', ['picture' => $three, 'before' => null, 'group' => 'people']);
    expect($this->reading->pictures()->get()->last()->only(['name', 'picture_group']))->toMatchArray(['name' => 'Three']);
    $key = fn (string $id): ?string => $this->reading->pictures()->findOrFail($id)->key;
    [$first, $second] = [$key($one), $key($two)];
    ($this->say)('picture.place', ['picture' => $two, 'key' => $first]);
    expect([$key($one), $key($two)])->toBe([$second, $first])
        ->and(fn () => ($this->say)('picture.place', ['picture' => $two, 'key' => '1']))->toThrow(Refusal::class, 'one of:')
        ->and(fn () => ($this->say)('picture.place', ['picture' => $two, 'key' => '?']))->toThrow(Refusal::class, 'one of:');
    ($this->say)('picture.place', ['picture' => $two, 'key' => null]);
    expect($key($two))->toBeNull();
});

it('saves pictures as a file and brings them again, also into another show', function (): void {
    $id = ($this->both)();
    $file = $this->get("{$this->path}/pictures/file")->assertOk()->json();
    expect($file)->toMatchArray(['format' => 'rhetorix-pictures', 'version' => 1])->and($file['pictures'])->toHaveCount(1)
        ->and($file['sources'])->toBe([['ref' => 's1', 'name' => 'Bench', 'kind' => 'stand-in'], ['ref' => 's2', 'name' => 'Face', 'kind' => 'stand-in']]);
    ($this->say)('picture.bring', ['file' => $file]);
    $copy = $this->reading->pictures()->where('name', 'Both')->whereNot('id', $id)->firstOrFail()->toPicture();
    expect($copy->layout)->toEqual($this->reading->pictures()->findOrFail($id)->toPicture()->layout)->and($copy->fills)->toBe(['a' => $this->bench, 'b' => $this->face]);

    $other = $this->show($this->ada, 'Evening class');
    $bench = $this->connect($other, $this->ada, 'Bench');
    $this->postJson("{$this->path}/pictures/{$id}/copy", ['to' => $other->id])->assertOk();
    expect($other->pictures()->where('name', 'Both')->firstOrFail()->toPicture()->fills)->toBe(['a' => $bench])
        ->and($other->asRun()->get()->last()->events[0]['detail'])->toContain('not here, and their places are empty: Face');
    $stranger = $this->show($this->person('Ben'), 'Not hers');
    $this->postJson("{$this->path}/pictures/{$id}/copy", ['to' => $stranger->id])->assertStatus(422)->assertJsonFragment(['message' => 'You cannot put pictures into that show. Ask its lead.']);
});

it('says by its path what is wrong in a file, and brings nothing of it', function (callable $spoil, string $words): void {
    ($this->both)();
    $file = $spoil($this->get("{$this->path}/pictures/file")->json());
    $before = $this->reading->pictures()->count();
    expect(fn () => ($this->say)('picture.bring', ['file' => $file]))->toThrow(Refusal::class, $words)->and($this->reading->pictures()->count())->toBe($before);
})->with([
    'another format' => [fn (array $file) => ['format' => 'slides'] + $file, 'holds no pictures'],
    'another version' => [fn (array $file) => ['version' => 9] + $file, 'of version 9'],
    'an unknown field' => [fn (array $file) => array_replace_recursive($file, ['pictures' => [0 => ['layout' => ['windows' => [1 => ['colr' => 1]]]]]]), 'file.pictures[0].layout.windows[1].colr'],
    'a window outside' => [fn (array $file) => array_replace_recursive($file, ['pictures' => [0 => ['layout' => ['windows' => [1 => ['x' => 5000]]]]]]), 'file.pictures[0].layout.windows[1]” must be on the canvas'],
    'a source that the file does not name' => [fn (array $file) => array_replace_recursive($file, ['pictures' => [0 => ['fills' => ['b' => 's9']]]]), 'file.pictures[0].fills.b'],
    'a place that is not there' => [fn (array $file) => array_replace_recursive($file, ['pictures' => [0 => ['fills' => ['zz' => 's1']]]]), 'file.pictures[0].fills.zz'],
    'another layout' => [fn (array $file) => array_replace_recursive($file, ['pictures' => [0 => ['layout' => ['layout' => 'spiral']]]]), 'file.pictures[0].layout.layout'],
    'not a file at all' => [fn () => 'hello', 'must be an object'],
    'no pictures' => [fn (array $file) => ['pictures' => []] + $file, 'There is no picture in this file'],
]);

it('says how a draft looks, where windows rest and what is hidden', function (): void {
    $draft = ['layout' => freeWindows([['slot' => 'a', 'purpose' => 'material'], ['slot' => 'b', 'x' => 300, 'y' => 100, 'width' => 200, 'height' => 200]]), 'fills' => ['a' => $this->bench, 'b' => $this->face]];
    $answer = $this->postJson("{$this->path}/compose", $draft)->assertOk()->json();
    expect($answer['plan']['layers'])->toHaveCount(2)->and($answer['targets'])->toHaveKeys(['a', 'b'])->and($answer['ratios'])->toBe(['a' => null, 'b' => null])
        ->and($answer['coverage']['hidden'])->toEqualWithDelta(200 * 200 / (1280 * 720), 1e-6);
    $dropped = $this->postJson("{$this->path}/compose", [...$draft, 'do' => ['drop' => ['slot' => 'b', 'hold' => 'middle', 'dx' => -296, 'dy' => 0.3, 'reach' => 8]]])->json('layout.windows.1');
    expect([$dropped['x'], $dropped['y']])->toEqual([0, 100]);
    $this->postJson("{$this->path}/compose", [...$draft, 'do' => ['drop' => ['slot' => 'b', 'hold' => 'middle', 'dx' => 3000, 'dy' => 0, 'reach' => 8]]])->assertStatus(422)->assertSee('move this window back');
    $round = $this->postJson("{$this->path}/compose", [...$draft, 'do' => ['shape' => ['slot' => 'b', 'shape' => 'circle']]])->json('layout.windows.1');
    expect($round)->toMatchArray(['shape' => 'circle', 'aspect' => '1:1', 'fit' => 'cover']);
    $wide = $this->postJson("{$this->path}/compose", [...$draft, 'do' => ['aspect' => ['slot' => 'b', 'aspect' => '16:9']]])->json('layout.windows.1');
    expect($wide['width'] / $wide['height'])->toEqualWithDelta(16 / 9, 1e-6);
    $added = $this->postJson("{$this->path}/compose", [...$draft, 'do' => ['add' => ['purpose' => 'words', 'slot' => 'c']]])->json('layout.windows');
    expect($this->postJson("{$this->path}/compose", [...$draft, 'fills' => ['a' => $this->bench], 'do' => ['add' => ['purpose' => 'person', 'slot' => 'who']]])->json('fills'))->toBe(['a' => $this->bench, 'who' => $this->face]);
    expect($added)->toHaveCount(3)->and($added[2]['purpose'])->toBe('words');
    // from a ready layout
    $free = $this->postJson("{$this->path}/compose", ['layout' => ['layout' => 'side-by-side'], 'fills' => [], 'do' => []])->json('layout');
    expect($free['layout'])->toBe('free')->and($free['windows'])->toHaveCount(2);
    $this->postJson("{$this->path}/compose", [...$draft, 'do' => ['drop' => ['slot' => 'zz', 'hold' => 'middle', 'dx' => 0, 'dy' => 0, 'reach' => 8]]])->assertStatus(422)->assertJsonFragment(['message' => 'This window is not in the picture any more. Choose another one.']);
    $full = ['layout' => freeWindows(array_map(fn (int $i): array => ['slot' => "w{$i}"], range(1, 24))), 'fills' => []];
    $this->postJson("{$this->path}/compose", [...$full, 'do' => ['add' => ['purpose' => 'person', 'slot' => 'more']]])->assertStatus(422)->assertSee('delete one that is not needed');
});

/** A white image with a transparent hole, and with letters on its right half. */
function pngWith(callable $draw): UploadedFile
{
    $image = imagecreatetruecolor(320, 180);
    imagesavealpha($image, true);
    imagealphablending($image, false);
    imagefill($image, 0, 0, imagecolorallocatealpha($image, 240, 240, 240, 0));
    $draw($image);
    ob_start();
    imagepng($image);

    return UploadedFile::fake()->createWithContent('image.png', (string) ob_get_clean());
}

it('finds the places of frame art, by what is transparent or by a colour', function (): void {
    $art = fn () => pngWith(function ($image): void {
        imagefilledrectangle($image, 20, 30, 119, 129, imagecolorallocatealpha($image, 0, 0, 0, 127));
        imagefilledrectangle($image, 200, 40, 299, 99, imagecolorallocatealpha($image, 10, 200, 30, 0));
    });
    $this->post("{$this->path}/holes", ['image' => $art()])->assertOk()->assertJsonPath('holes', [['x' => 80, 'y' => 120, 'width' => 400, 'height' => 400, 'shape' => 'rectangle', 'radius' => 0]]);
    $this->post("{$this->path}/holes", ['image' => $art(), 'colour' => '#0ac81e'])->assertOk()->assertJsonPath('holes.0.x', 800);
    $this->post("{$this->path}/holes", ['image' => UploadedFile::fake()->createWithContent('a.png', 'no image')], ['Accept' => 'application/json'])->assertStatus(422)->assertSee('frame art must be an image');
});

it('says what lies under a window, and which corner would hide less', function (): void {
    $draft = ['layout' => freeWindows([['slot' => 'a', 'purpose' => 'material'], ['slot' => 'b', 'x' => 960, 'y' => 480, 'width' => 256, 'height' => 192]]), 'fills' => ['a' => $this->bench, 'b' => $this->face]];
    $letters = pngWith(function ($image): void {
        for ($y = 4; $y < 170; $y += 10) {
            imagestring($image, 2, 120, $y, str_repeat('lustre hardness ', 3), imagecolorallocate($image, 10, 10, 10));
        }
    });
    $answer = $this->post("{$this->path}/harm", ['picture' => json_encode($draft), 'image' => $letters])->assertOk()->json();
    expect($answer['windows']['b']['harm'])->toBeGreaterThan(0.05)->and($answer['windows']['b']['better']['corner'])->toEndWith('left')->and($answer['cells'])->not->toBeEmpty();
});

it('gives the author of slides a guide in the size of the slide', function (): void {
    $id = ($this->both)();
    $svg = $this->get("{$this->path}/pictures/{$id}/guide.svg")->assertOk()->getContent();
    expect($svg)->toContain('width="1280"')->toContain('rx="120"')->toContain('Hidden');
    $png = getimagesizefromstring((string) $this->get("{$this->path}/pictures/{$id}/guide.png")->assertOk()->getContent());
    expect([$png[0] ?? 0, $png[1] ?? 0])->toBe([1280, 720]);
    ($this->say)('handle', ['source' => $this->bench, 'framing' => ['orientation' => 'r180']]);
    $this->getJson("{$this->path}/pictures/{$id}/guide.svg")->assertStatus(422)->assertSee('Turn it upright first');
    $people = ($this->make)('People', [['slot' => 'a', 'purpose' => 'person']], []);
    $this->getJson("{$this->path}/pictures/{$people}/guide.svg")->assertStatus(422)->assertSee('no place for material');
});

it('opens the page of a picture that is composed', function (): void {
    $id = ($this->both)();
    $this->get("{$this->path}/compose/{$id}")->assertOk()->assertSee('Change the picture')->assertSee('Windows, front to back');
    $this->get("{$this->path}/compose")->assertOk()->assertSee('Keep as a picture');
    $this->getJson("{$this->path}/compose/".Str::uuid())->assertNotFound();
    $this->get("{$this->path}/pictures")->assertOk()->assertSee('Compose Both by hand');
});
