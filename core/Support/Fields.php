<?php

declare(strict_types=1);

namespace Rhetorix\Core\Support;

use BackedEnum;

/**
 * Reads a decoded JSON object field by field, so that every value that enters
 * the core has been looked at once, and a wrong one is named by its path.
 */
final readonly class Fields
{
    /** @param  array<mixed>  $values */
    private function __construct(private array $values, private string $path)
    {
    }

    /** @throws BadInput when $values is not an object */
    public static function of(mixed $values, string $path = ''): self
    {
        if (! is_array($values)) {
            throw BadInput::wrongKind($path === '' ? 'body' : $path, 'an object');
        }

        return new self($values, $path);
    }

    public function has(string $field): bool
    {
        return isset($this->values[$field]);
    }

    public function string(string $field, int $longest = 200): string
    {
        $value = $this->required($field);
        if (! is_string($value) || trim($value) === '') {
            throw BadInput::wrongKind($this->at($field), 'a text that is not empty');
        }
        if (mb_strlen($value) > $longest) {
            throw BadInput::outOfRange($this->at($field), "at most {$longest} characters long");
        }

        return $value;
    }

    public function optionalString(string $field, int $longest = 200): ?string
    {
        return $this->has($field) ? $this->string($field, $longest) : null;
    }

    public function integer(string $field, int $least, int $most): int
    {
        $value = $this->required($field);
        if (! is_int($value)) {
            throw BadInput::wrongKind($this->at($field), 'a whole number');
        }
        if ($value < $least || $value > $most) {
            throw BadInput::outOfRange($this->at($field), "between {$least} and {$most}");
        }

        return $value;
    }

    public function number(string $field, float $least, float $most): float
    {
        $value = $this->required($field);
        if ((! is_int($value) && ! is_float($value)) || ! is_finite((float) $value)) {
            throw BadInput::wrongKind($this->at($field), 'a number');
        }
        if ($value < $least || $value > $most) {
            throw BadInput::outOfRange($this->at($field), "between {$least} and {$most}");
        }

        return (float) $value;
    }

    public function boolean(string $field): bool
    {
        $value = $this->required($field);
        if (! is_bool($value)) {
            throw BadInput::wrongKind($this->at($field), 'true or false');
        }

        return $value;
    }

    public function object(string $field): self
    {
        return self::of($this->required($field), $this->at($field));
    }

    /**
     * The objects of a list.
     *
     * @param  string  $things  what they are, for the sentence
     * @return list<self>
     */
    public function each(string $field, int $most, string $things): array
    {
        $values = $this->required($field);
        if (! is_array($values) || ! array_is_list($values)) {
            throw BadInput::wrongKind($this->at($field), "a list of {$things}");
        }
        if (count($values) > $most) {
            throw BadInput::outOfRange($this->at($field), "a list of at most {$most} {$things}");
        }

        return array_map(fn (mixed $value, int $i): self => self::of($value, "{$this->at($field)}[{$i}]"), $values, array_keys($values));
    }

    /**
     * Nothing else may stand here.
     *
     * @param  list<string>  $known
     */
    public function only(array $known): self
    {
        foreach (array_keys($this->values) as $field) {
            if (! in_array($field, $known, true)) {
                throw BadInput::notKnown($this->at((string) $field), $known);
            }
        }

        return $this;
    }

    public function colour(string $field): string
    {
        $colour = $this->string($field, 7);
        if (preg_match('/^#[0-9a-f]{6}$/i', $colour) !== 1) {
            throw BadInput::wrongKind($this->at($field), 'a colour such as #1a2b3c');
        }

        return strtolower($colour);
    }

    /** Where these fields stand, for a sentence about all of them. */
    public function path(): string
    {
        return $this->path;
    }

    /** @return array<mixed> */
    public function all(): array
    {
        return $this->values;
    }

    /**
     * @template E of BackedEnum
     *
     * @param  class-string<E>  $enum
     * @return E
     */
    public function oneOf(string $field, string $enum): BackedEnum
    {
        $value = $this->required($field);
        $found = is_string($value) ? $enum::tryFrom($value) : null;
        if ($found === null) {
            throw BadInput::notOneOf($this->at($field), array_map(fn (BackedEnum $case): string => (string) $case->value, $enum::cases()));
        }

        return $found;
    }

    private function required(string $field): mixed
    {
        return $this->values[$field] ?? throw BadInput::missing($this->at($field));
    }

    private function at(string $field): string
    {
        return $this->path === '' ? $field : "{$this->path}.{$field}";
    }
}
