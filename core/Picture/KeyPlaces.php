<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

/**
 * The place of each picture card and its key are one thing: the grid is the
 * left block of the keyboard, one row for each purpose.
 */
final class KeyPlaces
{
    /** The holding card is always there, and always here. */
    public const HOLDING = '1';

    /** @return list<string> keys of a group's row, left to right */
    public static function row(Group $group): array
    {
        return str_split(match ($group) {
            Group::Waiting => '12345',
            Group::People => 'QWERT',
            Group::Material => 'ASDFG',
            Group::Together => 'ZXCVB',
        });
    }

    /** @return list<string> all keys that a picture can be put on */
    public static function all(): array
    {
        return array_values(array_diff(array_merge(...array_map(self::row(...), Group::cases())), [self::HOLDING]));
    }

    /**
     * The first free key for a new picture: in its own row, else in any other
     * row, else none.
     *
     * @param  list<string>  $taken
     */
    public static function free(Group $group, array $taken): ?string
    {
        $keys = self::row($group);
        foreach ([Group::Together, Group::Material, Group::People, Group::Waiting] as $other) {
            $keys = [...$keys, ...self::row($other)];
        }

        return array_values(array_diff($keys, $taken, [self::HOLDING]))[0] ?? null;
    }

    /** The row in which a key lies, or null for a key outside the grid. */
    public static function rowOf(string $key): ?Group
    {
        foreach (Group::cases() as $group) {
            if (in_array($key, self::row($group), true)) {
                return $group;
            }
        }

        return null;
    }
}
