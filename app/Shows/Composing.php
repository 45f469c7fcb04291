<?php

namespace App\Shows;

use App\Models\Show;
use App\Shows\Edits\PictureForm;
use Closure;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Layout\Aspect;
use Rhetorix\Core\Layout\Cover\Coverage;
use Rhetorix\Core\Layout\Free\Arrange;
use Rhetorix\Core\Layout\Free\FreeLayout;
use Rhetorix\Core\Layout\Free\NewPlace;
use Rhetorix\Core\Layout\Free\Place;
use Rhetorix\Core\Layout\Purpose;
use Rhetorix\Core\Layout\Shape;
use Rhetorix\Core\Layout\Snap\Hold;
use Rhetorix\Core\Layout\Snap\Snap;
use Rhetorix\Core\Layout\Snap\Targets;
use Rhetorix\Core\Picture\Composer;
use Rhetorix\Core\Picture\FramePlan;
use Rhetorix\Core\Picture\Picture;
use Rhetorix\Core\Rig\Live\Handlings;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** A picture while somebody composes it: what the core says of it. Nothing is kept. */
final class Composing
{
    private ?FramePlan $plan = null;

    /** @param  array<string, Source>  $sources  by id */
    private function __construct(private readonly Show $show, private readonly array $sources, private readonly Handlings $handlings, public readonly Picture $picture)
    {
    }

    /** Reads {layout, fills} of a picture that is not kept yet. */
    public static function read(Show $show, Fields $fields): self
    {
        return self::reader($show)(app(PictureForm::class)->read($show, $fields, 'draft'));
    }

    /** @return Closure(Picture): self for many pictures of one show */
    public static function reader(Show $show): Closure
    {
        $desk = $show->desk;
        $sources = app(ShowBook::class)->at($show, $desk->book_revision)->sources();
        $handlings = $desk->toDesk()->handlings;

        return fn (Picture $picture): self => new self($show, $sources, $handlings, $picture);
    }

    /**
     * The same picture after something was done to its windows by hand; without more it is only laid out freely.
     *
     * @param  Fields  $do  {add: {purpose, slot}}, {arrange, windows}, {drop: {slot, hold, dx, dy, reach}}, {shape: {slot, shape}} or {aspect: {slot, aspect}}
     */
    public function after(Fields $do): self
    {
        $layout = FreeLayout::of($this->picture->layout, $this->show->canvas()->size);
        $layout = match (true) {
            $do->has('add') => NewPlace::in($layout, $do->object('add')->oneOf('purpose', Purpose::class), $do->object('add')->string('slot', 40)),
            $do->has('arrange') => $layout->moved($do->oneOf('arrange', Arrange::class)->of($this->chosen($layout, $do))),
            $do->has('drop') => $this->dropped($layout, $do->object('drop')),
            $do->has('shape') => $layout->with($this->place($layout, $do->object('shape'))->shaped($do->object('shape')->oneOf('shape', Shape::class), $layout->canvas)),
            $do->has('aspect') => $layout->with($this->place($layout, $do->object('aspect'))->proportioned($do->object('aspect')->oneOf('aspect', Aspect::class), $layout->canvas)),
            default => $layout,
        };

        $fills = $this->picture->fills;
        if ($do->has('add')) {
            $source = NewPlace::sourceFor($do->object('add')->oneOf('purpose', Purpose::class), $this->sources, $fills);
            $fills = [...$fills, ...($source === null ? [] : [$do->object('add')->string('slot', 40) => $source])];
        }

        return new self($this->show, $this->sources, $this->handlings, new Picture($this->picture->id, $this->picture->name, $this->picture->group, $layout, $fills));
    }

    public function plan(): FramePlan
    {
        return $this->plan ??= (new Composer($this->show->canvas(), $this->sources, $this->handlings))->compose($this->picture);
    }

    public function coverage(): ?Coverage
    {
        $windows = $this->picture->layout->windows($this->show->canvas()->size);
        $keyed = array_keys(array_filter($this->picture->fills, fn (string $source): bool => $this->handlings->of($source)->key !== null));
        $shown = [];
        foreach ($windows as $window) {
            $shown[$window->slot] = $this->plan()->placeOf($window->slot);
        }

        return Coverage::of($this->show->canvas()->size, $windows, array_filter($shown), $keyed);
    }

    public function source(string $slot): ?Source
    {
        return $this->sources[$this->picture->fills[$slot] ?? ''] ?? null;
    }

    /** @return array<string, mixed> for the editor */
    public function toArray(): array
    {
        $layout = $this->picture->layout;
        $coverage = $this->coverage();

        return [
            'plan' => $this->plan()->toArray(),
            'layout' => $layout->toArray(),
            'fills' => (object) $this->picture->fills,
            'targets' => $layout instanceof FreeLayout ? (object) $this->targets($layout) : null,
            'ratios' => $layout instanceof FreeLayout ? (object) array_column(array_map(fn (Place $place): array => ['slot' => $place->window->slot, 'ratio' => $place->ratio()], $layout->places), 'ratio', 'slot') : null,
            'coverage' => $coverage === null ? null : [
                'slot' => $coverage->material->slot,
                'hidden' => $coverage->hidden(),
                'with_words' => $coverage->hiddenWithWords(),
                'words_hidden' => (object) $coverage->wordsHidden(),
            ],
        ];
    }

    /** @return array<string, array<string, mixed>> lines for each window, among the others that are shown */
    private function targets(FreeLayout $layout): array
    {
        $targets = [];
        foreach ($layout->places as $place) {
            $targets[$place->window->slot] = $this->linesFor($layout, $place->window->slot)->toArray();
        }

        return $targets;
    }

    private function linesFor(FreeLayout $layout, string $slot): Targets
    {
        $others = array_filter($layout->places, fn (Place $place): bool => $place->window->slot !== $slot && ! $place->hidden && $place->window->rect != $layout->canvas->asRect());

        return Targets::on($layout->canvas, array_values(array_map(fn (Place $place): Rect => $place->window->rect, $others)));
    }

    private function dropped(FreeLayout $layout, Fields $drop): FreeLayout
    {
        $place = $this->place($layout, $drop);
        $slot = $place->window->slot;
        $far = 4.0 * max($layout->canvas->width, $layout->canvas->height);
        $snap = Snap::of(
            $place->window->rect,
            $drop->oneOf('hold', Hold::class),
            $drop->number('dx', -$far, $far),
            $drop->number('dy', -$far, $far),
            $place->ratio(),
            $this->linesFor($layout, $slot),
            $drop->number('reach', 0, 200),
        );

        return $layout->moved([$slot => $snap->rect]);
    }

    private function place(FreeLayout $layout, Fields $do): Place
    {
        return $layout->place($do->string('slot', 40)) ?? throw new Refusal('This window is not in the picture any more. Choose another one.');
    }

    /** @return array<string, Rect> in the order in which they were chosen */
    private function chosen(FreeLayout $layout, Fields $do): array
    {
        $rects = [];
        foreach ((array) ($do->all()['windows'] ?? []) as $slot) {
            $place = is_string($slot) ? $layout->place($slot) : null;
            if ($place !== null) {
                $rects[$place->window->slot] = $place->window->rect;
            }
        }

        return $rects;
    }
}
