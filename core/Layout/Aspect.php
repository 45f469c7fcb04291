<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

/** Whether a window keeps the proportion of its sides while it is resized. */
enum Aspect: string
{
    case Free = 'free';

    /** Whatever it is now. */
    case Kept = 'kept';
    case Wide = '16:9';
    case Classic = '4:3';
    case Square = '1:1';
    case Tall = '9:16';

    /** Width over height; null where the sides are free, or as they are now. */
    public function ratio(): ?float
    {
        if ($this === self::Free || $this === self::Kept) {
            return null;
        }
        [$width, $height] = explode(':', $this->value);

        return (float) $width / (float) $height;
    }

    public function label(): string
    {
        return match ($this) {
            self::Free => 'Free',
            self::Kept => 'Keep as it is',
            default => $this->value,
        };
    }
}
