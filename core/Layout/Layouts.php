<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Free\FreeLayout;
use Rhetorix\Core\Layout\Ready\Four;
use Rhetorix\Core\Layout\Ready\OneAndTwo;
use Rhetorix\Core\Layout\Ready\Presenter;
use Rhetorix\Core\Layout\Ready\Ready;
use Rhetorix\Core\Layout\Ready\SideBySide;
use Rhetorix\Core\Layout\Ready\Strip;
use Rhetorix\Core\Layout\Ready\TallBeside;
use Rhetorix\Core\Layout\Ready\ThreeInARow;
use Rhetorix\Core\Layout\Ready\TwoBoxes;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/** All kinds of layout: the ready ones, which need no drawing, and those made by hand. */
final class Layouts
{
    private const READY = [SideBySide::class, TwoBoxes::class, OneAndTwo::class, ThreeInARow::class, Four::class, TallBeside::class, Presenter::class, Strip::class];

    /**
     * @param  mixed  $data  {layout: name, ...parameters}
     *
     * @throws BadInput|BadLayout
     */
    public static function fromData(mixed $data): Layout
    {
        return self::fromFields(Fields::of($data, 'layout'));
    }

    /** @throws BadInput|BadLayout */
    public static function fromFields(Fields $fields): Layout
    {
        $name = $fields->string('layout');
        $ready = self::byName()[$name] ?? null;

        return match (true) {
            $name === FullLayout::NAME => new FullLayout,
            $name === FreeLayout::NAME => FreeLayout::fromFields($fields),
            $name === InsetLayout::NAME => InsetLayout::fromFields($fields),
            $ready !== null => $ready::fromFields($fields),
            default => throw BadInput::notOneOf("{$fields->path()}.layout", [FullLayout::NAME, InsetLayout::NAME, FreeLayout::NAME, ...array_keys(self::byName())]),
        };
    }

    /**
     * What a form offers: each layout as it usually is, on this canvas.
     *
     * @return array<string, array{label: string, parameters: array<string, array<string, mixed>>, slots: list<string>, slots_by: array<string, array<int, list<string>>>, windows: list<Rect>}> by name
     */
    public static function catalogue(Size $canvas): array
    {
        return array_map(fn (string $ready): array => [
            'label' => $ready::label(),
            'parameters' => array_map(fn (Parameter $parameter): array => $parameter->toArray(), $ready::parameters()),
            'slots' => $ready::usual()->slots(),
            'slots_by' => self::slotsBy($ready),
            'windows' => array_map(fn (Window $window): Rect => $window->rect, $ready::usual()->windows($canvas)),
        ], self::byName());
    }

    /**
     * The places of a layout in which there can be more or fewer of something.
     *
     * @param  class-string<Ready>  $ready
     * @return array<string, array<int, list<string>>> by parameter, by number
     */
    private static function slotsBy(string $ready): array
    {
        $slots = [];
        foreach ($ready::parameters() as $name => $parameter) {
            foreach ($parameter->whole ? range((int) $parameter->least, (int) $parameter->most) : [] as $count) {
                $slots[$name][$count] = $ready::fromFields(Fields::of([$name => $count]))->slots();
            }
        }

        return $slots;
    }

    /** @return array<string, class-string<Ready>> */
    private static function byName(): array
    {
        $byName = [];
        foreach (self::READY as $ready) {
            $byName[$ready::name()] = $ready;
        }

        return $byName;
    }
}
