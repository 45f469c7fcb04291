<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Support\Refusal;

final class BadLayout extends Refusal
{
    public static function insetSize(): self
    {
        return new self('An inset takes between 10 % and 60 % of the width of the canvas. Choose a size in between.');
    }

    public static function margin(): self
    {
        return new self('The margin of an inset is between 0 % and 20 % of the shorter side of the canvas.');
    }

    public static function parameter(string $label, string $range): self
    {
        return new self("“{$label}” can be {$range}. Choose one of these.");
    }
}
