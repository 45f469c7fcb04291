<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching;

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Sound\Decibels;
use Rhetorix\Core\Sound\Strip;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Command\KeepFavourites;
use Rhetorix\Core\Switching\Inset\Inset;
use Rhetorix\Core\Switching\Rules\Registers;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Time\FrameRate;

/** A desk as it is stored, also by an earlier version: what it does not say is as at the beginning of a show. */
final readonly class StoredDesk
{
    private const AT_START = [
        'program' => Desk::HOLDING,
        'preview' => null,
        'flight' => null,
        'from' => null,
        'to' => null,
        'kind' => null,
        'duration' => null,
        'started' => null,
        'queued' => null,
        'queued_to' => null,
        'queued_kind' => null,
        'queued_duration' => null,
        'heading' => null,
        'reached' => null,
        'holder' => null,
        'holder_until' => null,
        'way' => 'up',
        'before' => null,
        'covered' => false,
        'inset' => 'off',
        'inset_source' => null,
        'inset_x' => 0,
        'inset_y' => 0,
        'inset_width' => 0,
        'inset_was_x' => 0,
        'inset_was_y' => 0,
        'inset_was_width' => 0,
        'inset_was_opacity' => 0,
        'inset_was_trim' => Registers::WHOLE,
        'inset_since' => null,
    ];

    public function __construct(private Fields $fields)
    {
    }

    /** @return array<string, string|int|bool|null> the registers when a show begins */
    public static function atStart(Size $canvas = new Size(1280, 720)): array
    {
        $place = Inset::atFirst($canvas);

        return [...self::AT_START, ...$place, ...array_combine(['inset_was_x', 'inset_was_y', 'inset_was_width'], array_values($place))];
    }

    public function registers(): Registers
    {
        $registers = [];
        foreach (self::atStart() as $name => $default) {
            $value = $this->fields->all()[$name] ?? $default;
            $registers[$name] = is_scalar($value) && ! is_float($value) ? $value : $default;
        }
        if ($registers['flight'] !== null && $registers['heading'] === null) {
            [$registers['heading'], $registers['reached']] = ['on', 0]; // stored before there was a fader
        }

        return new Registers($registers);
    }

    public function chosen(): Transition
    {
        return self::transition($this->fields->object('chosen'));
    }

    /** @return list<Transition> */
    public function favourites(): array
    {
        return $this->fields->has('favourites')
            ? array_map(self::transition(...), $this->fields->each('favourites', KeepFavourites::MOST, 'transitions'))
            : Transition::favourites();
    }

    /** @return array<string, Strip> by source id */
    public function strips(): array
    {
        $strips = [];
        foreach ((array) ($this->fields->all()['strips'] ?? []) as $source => $strip) {
            $strip = Fields::of($strip, 'strips');
            $strips[(string) $source] = new Strip(new Decibels($strip->number('level', -1000, 1000)), $strip->boolean('muted'));
        }

        return $strips;
    }

    /** @return list<string> */
    public function past(): array
    {
        return array_values(array_filter((array) ($this->fields->all()['past'] ?? []), is_string(...)));
    }

    /** Durations are stored in milliseconds: the rate says nothing. */
    private static function transition(Fields $fields): Transition
    {
        return Transition::fromFields($fields, new FrameRate(30));
    }
}
