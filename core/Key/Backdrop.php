<?php

declare(strict_types=1);

namespace Rhetorix\Core\Key;

use Rhetorix\Core\Support\BadInput;

/** What is put behind a source where it lets through: a colour, or another source. */
final readonly class Backdrop
{
    private function __construct(public ?string $colour, public ?string $source)
    {
    }

    public static function nothing(): self
    {
        return new self(null, null);
    }

    /**
     * @param  string  $value  "", "#a1b2c3" or the id of a source
     *
     * @throws BadInput
     */
    public static function of(string $value): self
    {
        return match (true) {
            $value === '' => self::nothing(),
            preg_match('/^#[0-9a-f]{6}$/i', $value) === 1 => new self(strtolower($value), null),
            strlen($value) <= 64 && preg_match('/^[\w-]+$/', $value) === 1 => new self(null, $value),
            default => throw BadInput::wrongKind('behind', 'a colour like #00b140, a source, or nothing'),
        };
    }

    public function isNothing(): bool
    {
        return $this == self::nothing();
    }

    public function value(): string
    {
        return $this->colour ?? $this->source ?? '';
    }
}
