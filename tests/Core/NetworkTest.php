<?php

use Rhetorix\Core\LineUp\Network\AddressRange;
use Rhetorix\Core\LineUp\Network\OutOfReach;
use Rhetorix\Core\LineUp\Network\Reach;
use Rhetorix\Core\Support\BadInput;
use Symfony\Component\HttpFoundation\IpUtils;

it('says which addresses lie in a range', function (string $range, string $address, bool $inside): void {
    expect(AddressRange::of($range)->contains($address))->toBe($inside);
})->with([
    ['192.168.10.0/24', '192.168.10.1', true], ['192.168.10.0/24', '192.168.11.1', false],
    ['192.168.10.77/24', '192.168.10.200', true], ['10.0.0.0/8', '10.255.1.2', true], ['10.0.0.0/8', '11.0.0.1', false],
    ['192.168.10.128/25', '192.168.10.127', false], ['192.168.10.128/25', '192.168.10.128', true],
    ['172.16.4.1/32', '172.16.4.1', true], ['172.16.4.1/32', '172.16.4.2', false], ['0.0.0.0/0', '8.8.8.8', true],
    ['255.255.255.255', '255.255.255.255', true],
]);

it('agrees with an independent library on random ranges', function (): void {
    mt_srand(4632);
    for ($round = 0; $round < 400; $round++) {
        $base = mt_rand(0, 0xFFFFFFFF);
        $prefix = mt_rand(1, 32);
        // often near the range, so that both answers come up
        $address = long2ip(mt_rand(0, 1) === 1 ? $base ^ (1 << mt_rand(0, 31)) : mt_rand(0, 0xFFFFFFFF));
        $range = long2ip($base)."/{$prefix}";
        expect(AddressRange::of($range)->contains((string) $address))->toBe(IpUtils::checkIp4((string) $address, $range), "{$address} in {$range}");
    }
});

it('reads the mask of a network card', function (string $mask, int $prefix): void {
    expect(AddressRange::ofCard('192.168.10.33', $mask)->prefix)->toBe($prefix);
})->with([['255.255.255.0', 24], ['255.255.255.128', 25], ['255.0.0.0', 8], ['255.255.255.255', 32]]);

it('writes a range as people do', function (): void {
    expect((string) AddressRange::of('192.168.10.77/24'))->toBe('192.168.10.0/24');
});

it('names what is no range', function (string $range): void {
    expect(fn () => AddressRange::of($range))->toThrow(BadInput::class);
})->with(['192.168.10.0/33', '192.168.10/24', 'camera', '192.168.10.0/', '192.168.10.0/2x', '300.1.1.1/8']);

it('says before trying that an address cannot be reached, and from where it could', function (): void {
    $reach = new Reach([AddressRange::of('127.0.0.1/8'), AddressRange::of('192.168.10.0/24'), AddressRange::of('10.20.0.0/16')]);
    expect(fn () => $reach->mustInclude('192.168.1.64'))->toThrow(OutOfReach::class, '192.168.10.0/24, 10.20.0.0/16');
    $reach->mustInclude('10.20.99.1');
    $reach->mustInclude('127.0.0.1');
    expect(fn () => (new Reach([AddressRange::of('127.0.0.1/8')]))->mustInclude('192.168.1.64'))->toThrow(OutOfReach::class, 'in no network');
});
