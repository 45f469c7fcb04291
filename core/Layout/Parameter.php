<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout;

use Rhetorix\Core\Support\Fields;

/** One thing about a layout that can be chosen: a share in a range, a number of things, or a word of a list. */
final readonly class Parameter
{
    /** @param  list<string>  $words  what can be chosen; empty for a number */
    private function __construct(
        public string $label,
        public float|int|string $usual,
        public float $least = 0.0,
        public float $most = 0.0,
        public bool $whole = false,
        public array $words = [],
    ) {
    }

    /** A share of the canvas, 0 to 1. */
    public static function share(string $label, float $least, float $most, float $usual): self
    {
        return new self($label, $usual, $least, $most);
    }

    public static function count(string $label, int $least, int $most, int $usual): self
    {
        return new self($label, $usual, $least, $most, true);
    }

    /** @param  non-empty-list<string>  $words */
    public static function oneOf(string $label, array $words): self
    {
        return new self($label, $words[0], words: $words);
    }

    /** @throws BadLayout */
    public function read(string $name, Fields $fields): float|int|string
    {
        if (! $fields->has($name)) {
            return $this->usual;
        }
        if ($this->words !== []) {
            $word = $fields->string($name, 40);

            return in_array($word, $this->words, true) ? $word : throw BadLayout::parameter($this->label, implode(', ', $this->words));
        }
        $value = $this->whole ? $fields->integer($name, -1_000_000, 1_000_000) : $fields->number($name, -1_000_000, 1_000_000);

        return $value >= $this->least && $value <= $this->most ? $value : throw BadLayout::parameter($this->label, $this->range());
    }

    /** @return array<string, mixed> for a form */
    public function toArray(): array
    {
        return ['label' => $this->label, 'usual' => $this->usual, 'least' => $this->least, 'most' => $this->most, 'whole' => $this->whole, 'words' => $this->words];
    }

    private function range(): string
    {
        return $this->whole ? "{$this->least} to {$this->most}" : sprintf("%d\u{a0}%% to %d\u{a0}%%", round(100 * $this->least), round(100 * $this->most));
    }
}
