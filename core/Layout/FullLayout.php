<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Size;

/** One source on the whole canvas. */
final readonly class FullLayout implements Layout
{
    public const NAME = 'full';

    /** @param  ?Fit  $fit  null: as suits the source */
    public function __construct(private ?Fit $fit = null)
    {
    }

    public function windows(Size $canvas): array
    {
        return [new Window('large', $canvas->asRect(), $this->fit)];
    }

    public function slots(): array
    {
        return ['large'];
    }

    public function background(): ?string
    {
        return null;
    }

    public function toArray(): array
    {
        return ['layout' => self::NAME];
    }
}
