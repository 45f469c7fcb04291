<?php

declare(strict_types=1);

namespace Rhetorix\Core\Control;

use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\KeyPlaces;
use Rhetorix\Core\Switching\Command\KeepFavourites;

/** Every action of the desk by its name, and the keys it has from the beginning. */
final class DeskActions
{
    /** @return array<string, DeskAction> by name */
    public static function all(): array
    {
        return array_column([...self::program(), ...self::favourites(), ...self::inset(), ...self::material(), ...self::cards()], null, 'name');
    }

    /** @return list<DeskAction> */
    private static function program(): array
    {
        $do = fn (string $name, string $label, ?string $key = null, bool $travels = false): DeskAction => new DeskAction($name, $label, 'Program', $key, $travels);

        return [
            $do('take', 'Take what is next with the chosen transition', 'KeyL'),
            $do('cut', 'Cut to what is next', 'KeyK'),
            $do('back', 'Let a transition go back', 'KeyJ'),
            $do('fader', 'The fader', null, true),
            $do('fader-up', 'Move the fader up', 'ArrowUp'),
            $do('fader-down', 'Move the fader down', 'ArrowDown'),
            $do('cover', 'Cover or uncover', 'Semicolon'),
            $do('unarm', 'Undo the last arming', 'KeyU'),
            $do('last-program', 'The last program is next', 'KeyH'),
        ];
    }

    /** @return list<DeskAction> */
    private static function favourites(): array
    {
        return array_map(fn (int $i): DeskAction => new DeskAction("favourite-{$i}", "Take with transition {$i} of the row", 'Transitions'), range(1, KeepFavourites::MOST));
    }

    /** @return list<DeskAction> */
    private static function inset(): array
    {
        $do = fn (string $name, string $label, ?string $key = null): DeskAction => new DeskAction($name, $label, 'Inset over program', $key);

        return [
            $do('inset-full', 'Only me: the inset fills program', 'KeyI'),
            $do('inset-over', 'Both: the inset lies over program', 'KeyO'),
            $do('inset-off', 'Only the thing: no inset', 'KeyP'),
            $do('inset-larger', 'The inset larger', 'Equal'),
            $do('inset-smaller', 'The inset smaller', 'Minus'),
            $do('inset-corner', 'The inset into the next corner', 'KeyN'),
        ];
    }

    /** @return list<DeskAction> */
    private static function material(): array
    {
        $do = fn (string $name, string $label, string $key): DeskAction => new DeskAction($name, $label, 'Material', $key);

        return [
            $do('page-next', 'Next page of the deck on program', 'PageDown'),
            $do('page-back', 'Page back', 'PageUp'),
            $do('blank-screens', 'Hide shared screens, or show them', 'Period'),
        ];
    }

    /** @return list<DeskAction> */
    private static function cards(): array
    {
        $cards = [];
        foreach (array_merge(...array_map(KeyPlaces::row(...), Group::cases())) as $place) {
            $code = ctype_digit($place) ? "Digit{$place}" : "Key{$place}";
            $cards[] = new DeskAction("arm-{$place}", "Card {$place}: next", 'Cards', $code);
            $cards[] = new DeskAction("direct-{$place}", "Card {$place}: straight to program", 'Cards', "Shift+{$code}");
        }

        return $cards;
    }
}
