<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Rules;

use LogicException;

/**
 * Which pictures the audience sees in which state of the desk: one, or in a
 * flight the outgoing and the incoming one. Data for the browser too.
 */
final readonly class Showing
{
    /**
     * @param  list<Condition>  $when
     * @param  list<string>  $pictures  names of desk values, outgoing first; "holding" is the holding card
     * @param  bool  $sound  whether the main mix is open
     * @param  bool  $inset  whether the inset lies over them
     */
    private function __construct(
        public array $when,
        public array $pictures,
        public bool $sound,
        public bool $inset,
    ) {
    }

    /** @return list<self> the first whose conditions hold counts */
    public static function all(): array
    {
        return [
            new self([Condition::is('covered', '#yes')], ['holding'], false, false),
            new self([Condition::isNot('flight', '#none')], ['from', 'to'], true, true),
            new self([], ['program'], true, true),
        ];
    }

    public static function in(Registers $registers): self
    {
        foreach (self::all() as $showing) {
            if (array_filter($showing->when, fn (Condition $condition): bool => ! $condition->holds($registers)) === []) {
                return $showing;
            }
        }

        throw new LogicException('The last way of showing has no condition, so this is never reached.');
    }

    /** @return array{when: list<array{string, string, string}>, pictures: list<string>, sound: bool, inset: bool} */
    public function toArray(): array
    {
        return [
            'when' => array_map(fn (Condition $condition): array => $condition->toArray(), $this->when),
            'pictures' => $this->pictures,
            'sound' => $this->sound,
            'inset' => $this->inset,
        ];
    }
}
