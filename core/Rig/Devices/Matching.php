<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Devices;

/**
 * Which plugged device belongs to which source. Only the identity decides; a
 * device of the same name is offered, never put in by itself, and one that
 * belongs to nobody waits to be connected. So nothing that is plugged in can
 * take the place of anything else.
 */
final readonly class Matching
{
    /**
     * @param  array<string, string>  $here  source id => device
     * @param  list<string>  $missing  source ids
     * @param  array<string, list<PluggedDevice>>  $offers  source id => devices that may be it under another identity
     * @param  list<PluggedDevice>  $waiting
     */
    private function __construct(public array $here, public array $missing, public array $offers, public array $waiting)
    {
    }

    /**
     * @param  list<KnownDevice>  $known
     * @param  list<PluggedDevice>  $plugged
     */
    public static function of(array $known, array $plugged): self
    {
        $unclaimed = [];
        foreach ($plugged as $device) {
            $unclaimed["{$device->kind} {$device->device}"] = $device;
        }
        $here = [];
        $missing = [];
        foreach ($known as $source) {
            $key = "{$source->kind} {$source->device}";
            // Two sources of one device would be two captures of it; the second one has none.
            if (isset($unclaimed[$key])) {
                $here[$source->source] = $source->device;
                unset($unclaimed[$key]);
            } else {
                $missing[] = $source;
            }
        }
        $waiting = array_values($unclaimed);
        $offers = [];
        foreach ($missing as $source) {
            $alike = array_values(array_filter($waiting, fn (PluggedDevice $device): bool => self::mayBe($source, $device)));
            if ($alike !== []) {
                $offers[$source->source] = $alike;
            }
        }

        return new self($here, array_column($missing, 'source'), $offers, $waiting);
    }

    private static function mayBe(KnownDevice $source, PluggedDevice $device): bool
    {
        return $source->kind === $device->kind && $device->label !== '' && self::bare($source->label) === self::bare($device->label);
    }

    /** Browsers put the maker's and model's numbers behind the name, some of them not always. */
    private static function bare(string $label): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s*\([0-9a-f]{4}:[0-9a-f]{4}\)\s*$/i', '', $label)));
    }

    /** @return array{here: object, missing: list<string>, offers: object, waiting: list<array<string, string>>} */
    public function toArray(): array
    {
        $plain = fn (PluggedDevice $device): array => $device->toArray();

        return [
            'here' => (object) $this->here,
            'missing' => $this->missing,
            'offers' => (object) array_map(fn (array $devices): array => array_map($plain, $devices), $this->offers),
            'waiting' => array_map($plain, $this->waiting),
        ];
    }
}
