<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Health;

use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Time\Instant;

/** What the watch says of a source: the gravest thing, since when, and what was measured. */
final readonly class Finding
{
    public function __construct(public Signal $signal, public Instant $since, public ?string $measured)
    {
    }

    /**
     * @param  array<string, int>  $raised  the gravest first, with since when
     * @param  array<string, string>  $values  what was measured now
     */
    public static function first(array $raised, array $values, Instant $at, ?self $before): ?self
    {
        $first = array_key_first($raised);
        if ($first === null) {
            return null;
        }
        $kept = $before !== null && $before->signal->value === $first ? $before->measured : null;

        return new self(Signal::from($first), new Instant($raised[$first]), $values[$first] ?? $kept);
    }

    /** @return array{signal: string, since: int, measured: ?string} */
    public function toArray(): array
    {
        return ['signal' => $this->signal->value, 'since' => $this->since->ms, 'measured' => $this->measured];
    }

    public static function fromFields(Fields $fields): self
    {
        return new self($fields->oneOf('signal', Signal::class), new Instant($fields->integer('since', 0, PHP_INT_MAX)), $fields->optionalString('measured'));
    }
}
