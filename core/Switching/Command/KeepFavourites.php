<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Time\FrameRate;

/** The transitions that the desk offers at a press, in order. */
final readonly class KeepFavourites implements Command
{
    public const NAME = 'favourites';

    public const MOST = 8;

    /** @param  list<Transition>  $transitions */
    private function __construct(private string $id, public array $transitions)
    {
    }

    public static function fromFields(string $id, Fields $fields, FrameRate $rate): self
    {
        return new self($id, array_map(fn (Fields $each): Transition => Transition::fromFields($each, $rate), $fields->each('transitions', self::MOST, 'transitions')));
    }

    public function id(): string
    {
        return $this->id;
    }
}
