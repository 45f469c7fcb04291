<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Rules;

/** One cell of the table *command x state -> result*. */
final readonly class Rule
{
    /**
     * @param  list<Condition>  $when  all must hold
     * @param  array<string, string>  $set  value of the desk => what it becomes
     * @param  string  $result  what happened, for the as-run list; "nothing" where nothing changes
     */
    public function __construct(
        public string $on,
        public array $when,
        public array $set,
        public string $result,
    ) {
    }

    public function applies(string $command, Registers $registers): bool
    {
        if ($command !== $this->on) {
            return false;
        }
        foreach ($this->when as $condition) {
            if (! $condition->holds($registers)) {
                return false;
            }
        }

        return true;
    }

    /** @return array{on: string, when: list<array{string, string, string}>, set: array<string, string>, result: string} */
    public function toArray(): array
    {
        return [
            'on' => $this->on,
            'when' => array_map(fn (Condition $condition): array => $condition->toArray(), $this->when),
            'set' => $this->set,
            'result' => $this->result,
        ];
    }
}
