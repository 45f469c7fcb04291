<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Ready;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Layout;
use Rhetorix\Core\Layout\Parameter;
use Rhetorix\Core\Support\Fields;

/**
 * A layout that is made from a few parameters for a canvas of any shape: what
 * lies side by side on a wide canvas lies one above the other on a tall one.
 */
abstract readonly class Ready implements Layout
{
    /** @param  array<string, float|int|string>  $values  by parameter */
    final private function __construct(protected array $values)
    {
    }

    public static function usual(): static
    {
        return static::fromFields(Fields::of([]));
    }

    /** @throws \Rhetorix\Core\Layout\BadLayout when a parameter is out of range */
    public static function fromFields(Fields $fields): static
    {
        $fields->only(['layout', ...array_keys(static::parameters())]);
        $values = [];
        foreach (static::parameters() as $name => $parameter) {
            $values[$name] = $parameter->read($name, $fields);
        }

        return new static($values);
    }

    abstract public static function name(): string;

    abstract public static function label(): string;

    /** @return array<string, Parameter> */
    abstract public static function parameters(): array;

    public function background(): ?string
    {
        return null;
    }

    public function toArray(): array
    {
        return ['layout' => static::name(), ...$this->values];
    }

    protected function number(string $name): float
    {
        return (float) $this->values[$name];
    }

    protected function word(string $name): string
    {
        return (string) $this->values[$name];
    }

    /** Pixels, from a share of the canvas's shorter side. */
    protected function gap(Size $canvas): float
    {
        return $this->number('gap') * min($canvas->width, $canvas->height);
    }

    /**
     * Boxes of equal size beside each other, along the longer side of a rectangle.
     *
     * @return list<Rect>
     */
    protected static function row(Rect $in, int $count, float $gap, ?bool $wide = null): array
    {
        $wide ??= $in->width >= $in->height;
        $each = (($wide ? $in->width : $in->height) - ($count - 1) * $gap) / $count;

        return array_map(fn (int $i): Rect => $wide
            ? new Rect($in->x + $i * ($each + $gap), $in->y, $each, $in->height)
            : new Rect($in->x, $in->y + $i * ($each + $gap), $in->width, $each), range(0, $count - 1));
    }

    /**
     * Two parts of a rectangle, along its longer side.
     *
     * @param  float  $share  of the first part
     * @return array{Rect, Rect}
     */
    protected static function split(Rect $in, float $share, float $gap, bool $wide): array
    {
        $first = (($wide ? $in->width : $in->height) - $gap) * $share;

        return $wide
            ? [new Rect($in->x, $in->y, $first, $in->height), new Rect($in->x + $first + $gap, $in->y, $in->width - $first - $gap, $in->height)]
            : [new Rect($in->x, $in->y, $in->width, $first), new Rect($in->x, $in->y + $first + $gap, $in->width, $in->height - $first - $gap)];
    }

    /** The largest rectangle of this aspect in the middle of another. */
    protected static function centred(Rect $in, float $aspect): Rect
    {
        $width = min($in->width, $in->height * $aspect);
        $height = $width / $aspect;

        return new Rect($in->x + ($in->width - $width) / 2, $in->y + ($in->height - $height) / 2, $width, $height);
    }

    protected static function inner(Size $canvas, float $margin): Rect
    {
        return new Rect($margin, $margin, $canvas->width - 2 * $margin, $canvas->height - 2 * $margin);
    }
}
