<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Network;

/** Whether an address can be reached from this computer's network cards, said before anybody tries. */
final readonly class Reach
{
    /** @param  list<AddressRange>  $ranges  of this computer's network cards */
    public function __construct(private array $ranges)
    {
    }

    public function includes(string $address): bool
    {
        foreach ($this->ranges as $range) {
            if ($range->contains($address)) {
                return true;
            }
        }

        return false;
    }

    /** @throws OutOfReach with the ranges in which the address would have to lie */
    public function mustInclude(string $address): void
    {
        if (! $this->includes($address)) {
            throw OutOfReach::of($address, array_values(array_map(strval(...), array_filter($this->ranges, fn (AddressRange $range): bool => ! $range->isLoopback()))));
        }
    }
}
