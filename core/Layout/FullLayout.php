<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Geometry\Size;

/** One source on the whole canvas. */
final readonly class FullLayout implements Layout
{
    public const NAME = 'full';

    public function windows(Size $canvas): array
    {
        return [new Window('large', $canvas->asRect())];
    }

    public function slots(): array
    {
        return ['large'];
    }

    public function toArray(): array
    {
        return ['layout' => self::NAME];
    }
}
