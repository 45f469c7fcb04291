<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Live;

use Rhetorix\Core\Support\Fields;

/** All that was done to sources by hand, and where each group of linked decks stands. */
final readonly class Handlings
{
    /**
     * @param  array<string, Handling>  $handlings  by source id, only those that differ from none
     * @param  array<string, int>  $positions  by group of linked decks, counted from 1
     */
    private function __construct(private array $handlings, private array $positions)
    {
    }

    public static function none(): self
    {
        return new self([], []);
    }

    public function of(string $source): Handling
    {
        return $this->handlings[$source] ?? Handling::none();
    }

    public function position(string $group): int
    {
        return $this->positions[$group] ?? 1;
    }

    public function with(string $source, Handling $handling): self
    {
        $handlings = [...$this->handlings, $source => $handling];
        if ($handling->isNone()) {
            unset($handlings[$source]);
        }

        return new self($handlings, $this->positions);
    }

    public function turned(string $group, int $position): self
    {
        return new self($this->handlings, [...$this->positions, $group => $position]);
    }

    /** @return array{handlings: object, positions: object} as JSON objects, also when empty */
    public function toArray(): array
    {
        return [
            'handlings' => (object) array_map(fn (Handling $handling): array => $handling->toArray(), $this->handlings),
            'positions' => (object) $this->positions,
        ];
    }

    /** Reads what toArray() made, or a desk that was stored before there were handlings. */
    public static function fromFields(Fields $desk): self
    {
        $handlings = [];
        foreach ((array) ($desk->all()['handlings'] ?? []) as $source => $handling) {
            $handlings[(string) $source] = Handling::fromArray($handling);
        }
        $positions = [];
        foreach ((array) ($desk->all()['positions'] ?? []) as $group => $position) {
            $positions[(string) $group] = is_int($position) ? $position : 1;
        }

        return new self($handlings, $positions);
    }
}
