<?php

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\BadLayout;
use Rhetorix\Core\Layout\Corner;
use Rhetorix\Core\Layout\FullLayout;
use Rhetorix\Core\Layout\InsetLayout;
use Rhetorix\Core\Layout\Layouts;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Picture\Card;
use Rhetorix\Core\Picture\Composer;
use Rhetorix\Core\Picture\FramePlan;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\KeyPlaces;
use Rhetorix\Core\Picture\Layer;
use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Rig\Hearing;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Time\FrameRate;

it('puts an inset into its corner on canvases of any shape', function (Corner $corner, array $canvas): void {
    $size = new Size(...$canvas);
    [$large, $inset] = (new InsetLayout($corner, 0.25, 0.05))->windows($size);
    $margin = 0.05 * min(...$canvas);

    expect($large->rect)->toEqual($size->asRect())
        ->and($inset->rect->width)->toEqualWithDelta(0.25 * $canvas[0], 1e-9)
        ->and($inset->rect->width / $inset->rect->height)->toEqualWithDelta($size->aspect(), 1e-9)
        ->and($corner->isLeft() ? $inset->rect->x : $canvas[0] - $inset->rect->right())->toEqualWithDelta($margin, 1e-9)
        ->and($corner->isTop() ? $inset->rect->y : $canvas[1] - $inset->rect->bottom())->toEqualWithDelta($margin, 1e-9);
})->with(Corner::cases())->with(['16:9' => [[1280, 720]], '4:3' => [[1024, 768]], '9:16' => [[720, 1280]], '1:1' => [[800, 800]]]);

it('keeps the aspect of a source of another shape in a 16:9 inset by covering it', function (array $size): void {
    $sources = ['slides' => camera('slides'), 'phone' => camera('phone', new Size(...$size))];
    $plan = (new Composer(Canvas::usual(), $sources))->compose(picture('p', ['large' => 'slides', 'inset' => 'phone'], new InsetLayout(Corner::BottomRight, 0.3)));
    $inset = $plan->layers[1];
    $used = $inset->crop->inPixels(new Size(...$size));

    expect($used->width / $used->height)->toEqualWithDelta(16 / 9, 1e-9)
        ->and($inset->dest->width / $inset->dest->height)->toEqualWithDelta(16 / 9, 1e-9);
})->with(['4:3' => [[640, 480]], '9:16' => [[1080, 1920]], '1:1' => [[500, 500]]]);

it('refuses insets that nobody could use', function (float $size, float $margin, string $word): void {
    expect(fn () => new InsetLayout(Corner::TopLeft, $size, $margin))->toThrow(BadLayout::class, $word);
})->with([[0.05, 0.04, '10 %'], [0.9, 0.04, '60 %'], [NAN, 0.04, '10 %'], [0.3, -0.1, 'margin'], [0.3, 0.5, 'margin']]);

it('reads layouts back from what it wrote', function (): void {
    foreach ([new FullLayout, new InsetLayout(Corner::TopRight, 0.33, 0.02)] as $layout) {
        expect(Layouts::fromData($layout->toArray()))->toEqual($layout);
    }
    expect(fn () => Layouts::fromData(['layout' => 'spiral']))->toThrow(BadInput::class, 'full, inset')
        ->and(fn () => Layouts::fromData(['layout' => 'inset', 'corner' => 'middle', 'size' => 0.3]))->toThrow(BadInput::class, 'layout.corner')
        ->and(fn () => Layouts::fromData('inset'))->toThrow(BadInput::class, 'an object');
});

it('fills the canvas with a camera, but shows all of what has to be read', function (SourceKind $kind, Group $group, bool $all): void {
    $source = new Source('s', 'S', $kind, $group, Hearing::Never, new Size(1024, 768));
    $layer = (new Composer(Canvas::usual(), ['s' => $source]))->compose(picture('p', ['large' => 's']))->layers[0];

    expect($layer->crop->toArray() === Crop::whole()->toArray())->toBe($all)
        ->and($layer->dest->width)->toBe($all ? 960.0 : 1280.0);
})->with([
    [SourceKind::Camera, Group::People, false], [SourceKind::Camera, Group::Material, false], [SourceKind::StandIn, Group::People, false],
    [SourceKind::StandIn, Group::Material, true], [SourceKind::Screen, Group::Material, true], [SourceKind::Still, Group::Material, true],
]);

it('says in an empty place whom it waits for', function (): void {
    $plan = (new Composer(Canvas::usual(), ['a' => camera('a')]))->compose(picture('p', ['large' => 'a'], new InsetLayout(Corner::TopLeft)));

    expect(array_column($plan->layers, 'key'))->toBe(['large', 'inset'])
        ->and($plan->layers[1]->card?->lines[0]->text)->toBe('Place for a person')
        ->and($plan->layers[1]->dest->width)->toEqualWithDelta(0.28 * 1280, 1e-9)
        ->and($plan->visibleSources())->toBe(['a']);
});

it('sees only what is really visible', function (): void {
    $canvas = new Size(1280, 720);
    $layer = fn (string $source, array $rect, float $opacity = 1.0) => Layer::ofSource($source, $source, new Rect(...$rect), Crop::whole(), $opacity);
    $visible = fn (Layer ...$layers) => (new FramePlan($canvas, '#000000', array_values($layers)))->visibleSources();
    $all = [0, 0, 1280, 720];

    expect($visible($layer('a', $all), $layer('b', [900, 500, 300, 170])))->toBe(['a', 'b'])
        ->and($visible($layer('a', $all), $layer('b', $all)))->toBe(['b'])
        ->and($visible($layer('a', $all), $layer('b', $all, 0.5)))->toBe(['a', 'b'])
        ->and($visible($layer('a', $all), $layer('b', $all, 0.0)))->toBe(['a'])
        ->and($visible($layer('a', $all), $layer('b', [1300, 0, 100, 100])))->toBe(['a'])
        ->and($visible($layer('a', $all), $layer('b', [0, 0, 640, 720]), $layer('c', [640, 0, 640, 720])))->toBe(['b', 'c'])
        ->and($visible($layer('a', [10, 10, 50, 50]), $layer('b', [0, 0, 100, 100]), $layer('a', [500, 0, 10, 10])))->toBe(['b', 'a']);
});

it('has a holding card for every show, and a placeholder for every source with a picture', function (): void {
    $book = PlanBook::of(Canvas::usual(), 'Reading Stones', [camera('a'), new Source('m', 'Mic', SourceKind::Microphone, Group::People, Hearing::Always)], []);
    $page = $book->toArray();

    expect($page['pictures']['holding']['plan']['layers'][0]['card']['lines'][0]['text'])->toBe('Reading Stones')
        ->and($page['sources']['a']['placeholder']['lines'][0]['text'])->toBe('A')
        ->and($page['sources']['m']['placeholder'])->toBeNull()
        ->and($book->planOf('a picture that was deleted'))->toEqual($book->planOf('holding'))
        ->and($book->has('holding'))->toBeTrue()->and($book->has('x'))->toBeFalse();
});

it('makes long words on a card small enough to fit', function (): void {
    $card = Card::holding(str_repeat('Wide words ', 12), new Size(1280, 720));
    [$head, $text] = $card->lines;

    expect($head->size)->toBeLessThan($text->size * 1.5)->and($head->width)->toBeLessThan(1280.0)->and($head->size)->toBeGreaterThan(5.0);
});

it('gives every picture the key of its place', function (): void {
    expect(KeyPlaces::free(Group::People, []))->toBe('Q')
        ->and(KeyPlaces::free(Group::People, ['Q', 'W']))->toBe('E')
        ->and(KeyPlaces::free(Group::Waiting, []))->toBe('2') // 1 is the holding card
        ->and(KeyPlaces::free(Group::Material, ['A', 'S', 'D', 'F', 'G']))->toBe('Z')
        ->and(KeyPlaces::free(Group::People, str_split('12345QWERTASDFGZXCVB')))->toBeNull()
        ->and(KeyPlaces::rowOf('X'))->toBe(Group::Together)->and(KeyPlaces::rowOf('P'))->toBeNull();
});

it('counts frames and milliseconds', function (int $rate, int $frames, int $ms): void {
    $rate = new FrameRate($rate);
    expect($rate->lengthOf($frames)->count)->toBe($ms)->and($rate->framesIn($rate->lengthOf($frames)))->toBe($frames);
})->with([[30, 25, 833], [25, 25, 1000], [50, 1, 20], [30, 1, 33], [60, 90, 1500]]);
