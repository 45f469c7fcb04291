<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Rules;

/**
 * The inset over program: a window that stays while what is beneath is cut and
 * mixed. "inset" is "off", "over" or "full" (it alone is seen); it comes, goes
 * and travels in a short time of its own, from how it was seen at the press
 * ("@seen_x" and so on, kept as "inset_was_x") since "inset_since": a press
 * while it travels turns it from where it is.
 */
final class InsetRules
{
    /** @return list<Rule> */
    public static function all(): array
    {
        $was = ['inset_was_x' => '@seen_x', 'inset_was_y' => '@seen_y', 'inset_was_width' => '@seen_width', 'inset_was_opacity' => '@seen_opacity', 'inset_was_trim' => '@seen_trim', 'inset_since' => '@now'];
        $place = ['inset_x' => '@x', 'inset_y' => '@y', 'inset_width' => '@width'];

        return [
            new Rule('inset', [Condition::is('inset', '@mode')], [], Rulebook::NOTHING),
            new Rule('inset', [Condition::is('inset_source', '#none'), Condition::is('@source', '#none')], [], Rulebook::NOTHING),
            new Rule('inset', [Condition::is('@source', '#none')], ['inset' => '@mode', ...$was], 'inset'),
            new Rule('inset', [], ['inset' => '@mode', 'inset_source' => '@source', ...$was], 'inset'),

            new Rule('inset.source', [Condition::is('inset_source', '@source')], [], Rulebook::NOTHING),
            new Rule('inset.source', [], ['inset_source' => '@source'], 'inset-source'),

            // A hand that drags it wants it where the hand is, now.
            new Rule('inset.place', [Condition::is('@dragged', '#yes')], [...$place, 'inset_was_x' => '@x', 'inset_was_y' => '@y', 'inset_was_width' => '@width'], Rulebook::QUIET),
            new Rule('inset.place', [Condition::is('@ended', '#yes')], [...$place, 'inset_was_x' => '@x', 'inset_was_y' => '@y', 'inset_was_width' => '@width'], 'inset-place'),
            new Rule('inset.place', [Condition::is('inset_x', '@x'), Condition::is('inset_y', '@y'), Condition::is('inset_width', '@width')], [], Rulebook::NOTHING),
            new Rule('inset.place', [], [...$place, ...$was], 'inset-place'),
        ];
    }
}
