<?php

namespace App\Shows;

/** What somebody may do in a show. */
enum Role: string
{
    case Lead = 'lead';
    case Operator = 'operator';
    case Graphics = 'graphics';
    case View = 'view';

    public function label(): string
    {
        return match ($this) {
            self::Lead => 'Lead: everything, and who may do what',
            self::Operator => 'Operator: runs the desk and the rig',
            self::Graphics => 'Graphics only: words and marks over the picture',
            self::View => 'View only',
        };
    }

    public function mayOperate(): bool
    {
        return $this === self::Lead || $this === self::Operator;
    }

    public function mayDoGraphics(): bool
    {
        return $this !== self::View;
    }
}
