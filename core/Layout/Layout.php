<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Geometry\Size;

/** An arrangement of windows, made from a few parameters for any canvas. */
interface Layout
{
    /** @return list<Window> back to front, in canvas pixels */
    public function windows(Size $canvas): array;

    /** @return list<string> the places that can be filled, back to front */
    public function slots(): array;

    /** "#rrggbb" behind all windows; null: as usual. */
    public function background(): ?string;

    /** @return array<string, mixed> the parameters, with "layout" as its name */
    public function toArray(): array;
}
