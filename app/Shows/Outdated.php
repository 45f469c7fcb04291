<?php

namespace App\Shows;

use Rhetorix\Core\Support\Refusal;

/** Somebody else changed the thing after the editor last saw it. */
final class Outdated extends Refusal
{
    /** @param  array<string, mixed>  $current what it is now */
    private function __construct(string $sentence, public readonly array $current)
    {
        parent::__construct($sentence);
    }

    /** @param  array<string, mixed>  $current */
    public static function since(string $name, array $current): self
    {
        return new self("“{$name}” was changed by somebody else in the meantime. Look at it as it is now and change it again.", $current);
    }
}
