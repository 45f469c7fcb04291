<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

/**
 * How a source is turned to stand upright for the audience: quarter turns
 * clockwise first, then, if so, mirrored left to right as it is seen.
 *
 * These are the eight symmetries of a rectangle, so that every press on
 * "turn", "mirror" or "flip" leads from one of them to another.
 */
enum Orientation: string
{
    case Upright = 'r0';
    case Right = 'r90';
    case Half = 'r180';
    case Left = 'r270';
    case Mirrored = 'r0m';
    case RightMirrored = 'r90m';
    case HalfMirrored = 'r180m';
    case LeftMirrored = 'r270m';

    /** Quarter turns clockwise, 0 to 3. */
    public function quarterTurns(): int
    {
        return intdiv((int) substr($this->value, 1), 90);
    }

    public function isMirrored(): bool
    {
        return str_ends_with($this->value, 'm');
    }

    /** A quarter turn clockwise of what is seen now. */
    public function turnedRight(): self
    {
        return self::of($this->quarterTurns() + ($this->isMirrored() ? -1 : 1), $this->isMirrored());
    }

    /** A quarter turn against the clock of what is seen now. */
    public function turnedLeft(): self
    {
        return self::of($this->quarterTurns() + ($this->isMirrored() ? 1 : -1), $this->isMirrored());
    }

    /** Left and right of what is seen now change places. */
    public function mirrored(): self
    {
        return self::of($this->quarterTurns(), ! $this->isMirrored());
    }

    /** Top and bottom of what is seen now change places. */
    public function flipped(): self
    {
        return self::of($this->quarterTurns() + 2, ! $this->isMirrored());
    }

    /** The size as it is seen: a quarter turn changes width and height. */
    public function size(Size $source): Size
    {
        return $this->quarterTurns() % 2 === 0 ? $source : new Size($source->height, $source->width);
    }

    /** From a part of what is seen to the part of the source behind it, both in fractions. */
    public function toSource(Crop $seen): Crop
    {
        $x = $this->isMirrored() ? 1 - $seen->x - $seen->width : $seen->x;

        return match ($this->quarterTurns()) {
            1 => new Crop($seen->y, 1 - $x - $seen->width, $seen->height, $seen->width),
            2 => new Crop(1 - $x - $seen->width, 1 - $seen->y - $seen->height, $seen->width, $seen->height),
            3 => new Crop(1 - $seen->y - $seen->height, $x, $seen->height, $seen->width),
            default => new Crop($x, $seen->y, $seen->width, $seen->height),
        };
    }

    /** From a part of the source to where it is in what is seen, both in fractions. */
    public function fromSource(Crop $source): Crop
    {
        $turned = match ($this->quarterTurns()) {
            1 => new Crop(1 - $source->y - $source->height, $source->x, $source->height, $source->width),
            2 => new Crop(1 - $source->x - $source->width, 1 - $source->y - $source->height, $source->width, $source->height),
            3 => new Crop($source->y, 1 - $source->x - $source->width, $source->height, $source->width),
            default => $source,
        };

        return $this->isMirrored() ? new Crop(1 - $turned->x - $turned->width, $turned->y, $turned->width, $turned->height) : $turned;
    }

    /**
     * Where each press leads from each orientation, for screens that show the buttons.
     *
     * @return array<string, array{right: string, left: string, mirror: string, flip: string}>
     */
    public static function table(): array
    {
        $table = [];
        foreach (self::cases() as $orientation) {
            $table[$orientation->value] = [
                'right' => $orientation->turnedRight()->value,
                'left' => $orientation->turnedLeft()->value,
                'mirror' => $orientation->mirrored()->value,
                'flip' => $orientation->flipped()->value,
            ];
        }

        return $table;
    }

    private static function of(int $quarterTurns, bool $mirrored): self
    {
        return self::from('r'.((($quarterTurns % 4) + 4) % 4 * 90).($mirrored ? 'm' : ''));
    }
}
