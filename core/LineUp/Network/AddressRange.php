<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Network;

use Rhetorix\Core\Support\BadInput;

/**
 * A range of IPv4 addresses that reach each other directly.
 *
 * Source: RFC 4632 (CIDR): an address belongs to a range when the first
 * "prefix" bits of both are equal.
 */
final readonly class AddressRange
{
    /** @param  int  $prefix  number of leading bits that are the range's, 0 to 32 */
    private function __construct(private int $network, public int $prefix)
    {
    }

    /** @throws BadInput when $cidr is not like "192.168.10.0/24" */
    public static function of(string $cidr): self
    {
        [$address, $prefix] = [...explode('/', $cidr, 2), '32'];
        if (preg_match('/^\d{1,2}$/', $prefix) !== 1 || (int) $prefix > 32) {
            throw BadInput::wrongKind('range', 'an address and a prefix like 192.168.10.0/24');
        }

        return new self(self::number($address) & self::mask((int) $prefix), (int) $prefix);
    }

    /** The range of a network card: its address and its mask in dots. */
    public static function ofCard(string $address, string $mask): self
    {
        return self::of($address.'/'.substr_count(decbin(self::number($mask)), '1'));
    }

    public function contains(string $address): bool
    {
        return (self::number($address) & self::mask($this->prefix)) === $this->network;
    }

    /** Addresses of this computer itself: it can always ask them. */
    public function isLoopback(): bool
    {
        return self::of('127.0.0.0/8')->contains(self::dotted($this->network));
    }

    /** As it is written: "192.168.10.0/24". */
    public function __toString(): string
    {
        return self::dotted($this->network)."/{$this->prefix}";
    }

    private static function number(string $address): int
    {
        $number = ip2long($address);

        return $number === false ? throw BadInput::wrongKind('address', 'four numbers like 192.168.10.20') : $number;
    }

    private static function dotted(int $number): string
    {
        return (string) long2ip($number);
    }

    private static function mask(int $prefix): int
    {
        return $prefix === 0 ? 0 : (0xFFFFFFFF << (32 - $prefix)) & 0xFFFFFFFF;
    }
}
