<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

use Closure;

/**
 * How one property of one of the two pictures runs over the progress of a
 * transition: keyframes with straight lines between them, so that everybody
 * who paints it gets the same numbers.
 */
final readonly class Track
{
    /**
     * So many straight pieces stay within half a level of 8 bits (1/510) of
     * every curve in Easing; the tests hold it.
     */
    private const PIECES = 32;

    private const DECIMALS = 6;

    /**
     * @param  'incoming'|'outgoing'|'windows'|'colour'  $target
     * @param  'opacity'|'gain'|'way'|'edge'|'x'|'y'  $property
     * @param  non-empty-list<array{float, float}>  $keyframes  progress 0..1 and value, in order of progress
     */
    private function __construct(
        public string $target,
        public string $property,
        public array $keyframes,
    ) {
    }

    /**
     * @param  'incoming'|'outgoing'|'windows'|'colour'  $target
     * @param  'opacity'|'gain'|'way'|'edge'|'x'|'y'  $property
     * @param  Closure(float): float  $value  of progress
     */
    public static function along(string $target, string $property, Closure $value): self
    {
        return new self($target, $property, array_map(
            fn (int $i): array => [
                round($i / self::PIECES, self::DECIMALS),
                round($value($i / self::PIECES), self::DECIMALS),
            ],
            range(0, self::PIECES),
        ));
    }

    /**
     * From one value to another within a part of the way; at once where both ends are the same.
     *
     * @param  'incoming'|'outgoing'  $target
     * @param  'opacity'|'gain'  $property
     */
    public static function change(string $target, string $property, float $from, float $to, float $begins, float $ends): self
    {
        return new self($target, $property, [[0.0, $from], [round($begins, self::DECIMALS), $from], [round($ends, self::DECIMALS), $to], [1.0, $to]]);
    }

    /** The value at a progress between 0 and 1; outside it stays at the ends. */
    public function at(float $progress): float
    {
        $before = $this->keyframes[0];
        foreach ($this->keyframes as $after) {
            if ($progress <= $after[0]) {
                $span = $after[0] - $before[0];

                return $span > 0
                    ? $before[1] + ($after[1] - $before[1]) * (max($progress, $before[0]) - $before[0]) / $span
                    : $after[1];
            }
            $before = $after;
        }

        return $before[1];
    }

    /** @return array{target: string, property: string, keyframes: list<array{float, float}>} */
    public function toArray(): array
    {
        return ['target' => $this->target, 'property' => $this->property, 'keyframes' => $this->keyframes];
    }
}
