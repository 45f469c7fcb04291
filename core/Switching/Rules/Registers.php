<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Rules;

use LogicException;

/**
 * The switching state of a desk as named values, together with what the
 * command brings: the only things that rules may speak of.
 *
 * A plain name is a value of the desk; "@name" is what the command brings
 * (@id, @picture, @kind, @duration, @now, and @end, when the flight is over);
 * "#none", "#yes" and "#no" are constants.
 */
final readonly class Registers
{
    /**
     * @param  array<string, string|int|bool|null>  $desk
     * @param  array<string, string|int|bool|null>  $command
     */
    public function __construct(public array $desk, private array $command = [])
    {
    }

    public function value(string $name): string|int|bool|null
    {
        return match (true) {
            $name === '#none' => null,
            $name === '#yes' => true,
            $name === '#no' => false,
            $name === '@end' => (int) $this->desk['started'] + (int) $this->desk['duration'],
            $name[0] === '@' => $this->command[substr($name, 1)] ?? null,
            array_key_exists($name, $this->desk) => $this->desk[$name],
            default => throw new LogicException("A rule speaks of {$name}, which the desk does not have."),
        };
    }

    /** @param  array<string, string>  $assignments all read before any is written */
    public function with(array $assignments): self
    {
        $changed = array_map($this->value(...), $assignments);

        return new self([...$this->desk, ...$changed], $this->command);
    }
}
