<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

/** One picture stands for another, wherever the desk has it; only the show itself says this. */
final readonly class Replace implements Command
{
    public const NAME = 'replace';

    public function __construct(private string $id, public string $picture, public string $by)
    {
    }

    public function id(): string
    {
        return $this->id;
    }
}
