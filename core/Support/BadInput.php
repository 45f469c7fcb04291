<?php

declare(strict_types=1);

namespace Rhetorix\Core\Support;

/** Data from outside that does not have the shape it must have. */
final class BadInput extends Refusal
{
    public static function missing(string $field): self
    {
        return new self("The field “{$field}” is missing. Send it and try again.");
    }

    public static function wrongKind(string $field, string $expected): self
    {
        return new self("The field “{$field}” must be {$expected}.");
    }

    /** @param  list<string>  $allowed */
    public static function notOneOf(string $field, array $allowed): self
    {
        return new self("The field “{$field}” must be one of: ".implode(', ', $allowed).'.');
    }

    public static function outOfRange(string $field, string $range): self
    {
        return new self("The field “{$field}” must be {$range}.");
    }

    /** @param  list<string>  $known */
    public static function notKnown(string $field, array $known): self
    {
        return new self("The field “{$field}” is not known here. Known are: ".implode(', ', $known).'.');
    }
}
