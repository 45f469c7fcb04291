<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Rules;

/** One comparison of two values of the desk, as data. */
final readonly class Condition
{
    private function __construct(
        public string $left,
        public bool $equal,
        public string $right,
    ) {
    }

    public static function is(string $left, string $right): self
    {
        return new self($left, true, $right);
    }

    public static function isNot(string $left, string $right): self
    {
        return new self($left, false, $right);
    }

    public function holds(Registers $registers): bool
    {
        return ($registers->value($this->left) === $registers->value($this->right)) === $this->equal;
    }

    /** @return array{string, 'is'|'is not', string} */
    public function toArray(): array
    {
        return [$this->left, $this->equal ? 'is' : 'is not', $this->right];
    }
}
