<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

use Rhetorix\Core\Switching\Transition\Transition;

/** A live press, with everything that it wants. */
final readonly class Press implements Command
{
    /**
     * @param  ?string  $picture  picture id, where the action names one
     * @param  ?Transition  $transition  for a take or the fader; null: the one chosen on the desk
     * @param  array<string, string|int|bool|null>  $more  what else the rules may speak of, by the names in Registers
     */
    public function __construct(
        private string $id,
        public Action $action,
        public ?string $picture = null,
        public ?Transition $transition = null,
        public array $more = [],
    ) {
    }

    public function id(): string
    {
        return $this->id;
    }
}
