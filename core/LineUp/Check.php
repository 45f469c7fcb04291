<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp;

/** One line of the line-up: what was looked at, how it is, what was measured, and what to do. */
final readonly class Check
{
    private function __construct(
        public string $what,
        public Verdict $verdict,
        public string $measured,
        public string $todo,
        public ?string $source,
    ) {
    }

    public static function well(string $what, string $measured, ?string $source = null): self
    {
        return new self($what, Verdict::Well, $measured, '', $source);
    }

    public static function look(string $what, string $measured, string $todo, ?string $source = null): self
    {
        return new self($what, Verdict::Look, $measured, $todo, $source);
    }

    public static function wrong(string $what, string $measured, string $todo, ?string $source = null): self
    {
        return new self($what, Verdict::Wrong, $measured, $todo, $source);
    }
}
