<?php

declare(strict_types=1);

namespace Rhetorix\Core\Geometry;

/**
 * The part of a picture that every screen shows, and the part for words.
 *
 * Source: SMPTE ST 2046-1:2009 and EBU R 95: safe action 93 %, safe title
 * (R 95: graphics safe) 90 % of the width and height, in the middle; in
 * 1920 x 1080 these are 1786 x 1004 and 1728 x 972.
 */
enum SafeArea: string
{
    case Action = 'action';
    case Title = 'title';

    public function in(Size $canvas): Rect
    {
        $share = $this === self::Action ? 0.93 : 0.9;

        return new Rect(
            $canvas->width * (1 - $share) / 2,
            $canvas->height * (1 - $share) / 2,
            $canvas->width * $share,
            $canvas->height * $share,
        );
    }
}
