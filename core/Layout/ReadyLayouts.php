<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/** The layouts that need no drawing. */
final class ReadyLayouts
{
    /**
     * @param  mixed  $data  {layout: name, ...parameters}
     *
     * @throws BadInput|BadLayout
     */
    public static function fromData(mixed $data): Layout
    {
        $fields = Fields::of($data, 'layout');

        return match ($fields->string('layout')) {
            FullLayout::NAME => new FullLayout,
            InsetLayout::NAME => InsetLayout::fromFields($fields),
            default => throw BadInput::notOneOf('layout.layout', [FullLayout::NAME, InsetLayout::NAME]),
        };
    }
}
