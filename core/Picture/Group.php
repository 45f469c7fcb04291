<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

/** The purpose that a picture card is filed under. */
enum Group: string
{
    case Waiting = 'waiting';
    case People = 'people';
    case Material = 'material';
    case Together = 'together';

    public function label(): string
    {
        return ucfirst($this->value);
    }
}
