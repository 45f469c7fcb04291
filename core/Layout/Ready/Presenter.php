<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Ready;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Parameter;
use Rhetorix\Core\Layout\Window;

/** A presenter, keyed, before the material; the material whole, or made smaller so that nothing of it is hidden. */
final readonly class Presenter extends Ready
{
    public static function name(): string
    {
        return 'presenter';
    }

    public static function label(): string
    {
        return 'Presenter before material';
    }

    public static function parameters(): array
    {
        return [
            'side' => Parameter::oneOf('Presenter', ['right', 'left']),
            'size' => Parameter::share('Size', 0.3, 1.0, 0.7),
            'material' => Parameter::oneOf('Material', ['whole', 'beside']),
        ];
    }

    public function slots(): array
    {
        return ['material', 'presenter'];
    }

    public function windows(Size $canvas): array
    {
        $height = $this->number('size') * $canvas->height;
        $width = min($canvas->width * 0.6, $height * 0.8);
        $right = $this->word('side') === 'right';
        $presenter = new Rect($right ? $canvas->width - $width : 0.0, $canvas->height - $height, $width, $height);
        $material = $canvas->asRect();
        if ($this->word('material') === 'beside') {
            // Half of the presenter's window is air: that much may lie over the material's edge.
            $left = $canvas->width - 0.75 * $width;
            $material = new Rect($right ? 0.0 : $canvas->width - $left, 0.0, $left, $canvas->height);
        }

        return [new Window('material', $material, Fit::Contain), new Window('presenter', $presenter, Fit::Cover)];
    }
}
