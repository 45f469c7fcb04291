<?php

declare(strict_types=1);

namespace Rhetorix\Core\Time;

use Rhetorix\Core\Support\Refusal;

/** A length of time in whole milliseconds, never negative. */
final readonly class Milliseconds
{
    public function __construct(public int $count)
    {
        if ($count < 0) {
            throw new Refusal('A length of time cannot be below zero.');
        }
    }

    public static function of(int $count): self
    {
        return new self($count);
    }

    public static function ofSeconds(float $seconds): self
    {
        return new self((int) round($seconds * 1000));
    }

    /** As people read it on a button: "1.0 s". */
    public function inSeconds(): string
    {
        return number_format($this->count / 1000, 1, '.', '').' s';
    }
}
