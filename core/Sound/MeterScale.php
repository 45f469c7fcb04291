<?php

declare(strict_types=1);

namespace Rhetorix\Core\Sound;

/**
 * The scale of the level meters, in dBFS.
 *
 * Alignment level -18 dBFS: EBU R 68. Loud from -9 dBFS, the permitted
 * maximum of EBU R 68. The floor is common practice.
 */
final class MeterScale
{
    public const FLOOR = -60.0;

    public const ALIGNMENT = -18.0;

    public const LOUD = -9.0;

    /** Place of a level on the meter, from 0 (floor) to 1 (full scale). */
    public static function place(Decibels $level): float
    {
        return max(0.0, min(1.0, 1 - $level->value / self::FLOOR));
    }

    /** @return array{floor: float, alignment: float, loud: float, marks: list<array{db: float, at: float}>} */
    public static function toArray(): array
    {
        return [
            'floor' => self::FLOOR,
            'alignment' => self::ALIGNMENT,
            'loud' => self::LOUD,
            'marks' => array_map(
                fn (float $db): array => ['db' => $db, 'at' => self::place(new Decibels($db))],
                [-48.0, -36.0, -27.0, self::ALIGNMENT, self::LOUD, 0.0],
            ),
        ];
    }
}
