<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

/** What a place of a layout is for: it says what an empty place shows, and what of a picture must stay readable. */
enum Purpose: string
{
    case Person = 'person';
    case Material = 'material';
    case Room = 'room';
    case Guest = 'guest';
    case Anything = 'anything';

    /** Behind all windows. */
    case Background = 'background';

    /** A drawn frame with holes, in front of the windows or behind them. */
    case Art = 'art';

    /** Kept free for words, such as a name bar; shows nothing by itself. */
    case Words = 'words';

    public static function usualFor(string $slot): self
    {
        return match (true) {
            in_array($slot, ['large', 'material', 'wide'], true) => self::Material,
            in_array($slot, ['inset', 'presenter', 'tall'], true), str_starts_with($slot, 'person') => self::Person,
            default => self::Anything,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Person => 'A person',
            self::Material => 'Material',
            self::Room => 'The room',
            self::Guest => 'A guest',
            self::Anything => 'Anything',
            self::Background => 'Background',
            self::Art => 'Frame art',
            self::Words => 'Kept free for words',
        };
    }

    /** What the place shows while no source is in it. */
    public function whileEmpty(): string
    {
        return match ($this) {
            self::Person => 'Place for a person',
            self::Material => 'Place for material',
            self::Room => 'Place for the room',
            self::Guest => 'Place for a guest',
            default => 'Place for a picture',
        };
    }

    public function canBeFilled(): bool
    {
        return $this !== self::Words;
    }

    /** A place that is not filled says so, unless the picture is whole without it. */
    public function showsWhileEmpty(): bool
    {
        return ! in_array($this, [self::Background, self::Art, self::Words], true);
    }
}
