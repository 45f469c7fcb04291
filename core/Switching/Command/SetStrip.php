<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

use Rhetorix\Core\Sound\Decibels;

/** Level and mute of one source in the main mix; null leaves a part as it is. */
final readonly class SetStrip implements Command
{
    public const NAME = 'sound';

    public function __construct(
        private string $id,
        public string $source,
        public ?Decibels $level,
        public ?bool $muted,
    ) {
    }

    public function id(): string
    {
        return $this->id;
    }
}
