<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Network;

use Rhetorix\Core\Support\Refusal;

final class OutOfReach extends Refusal
{
    /** @param  list<string>  $ranges */
    public static function of(string $address, array $ranges): self
    {
        return new self($ranges === []
            ? "{$address} cannot be reached: this computer is in no network at the moment. Plug its network cable in, or join the network of the camera."
            : "{$address} lies outside the address ranges of this computer (".implode(', ', $ranges).'). Give the camera an address in one of them, or plug this computer into the network of the camera.');
    }
}
