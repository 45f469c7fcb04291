<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

use Rhetorix\Core\Time\Milliseconds;

/** How long a lost source keeps its last frame, and how often it is asked for again. */
final class SignalTimes
{
    /** Then the labelled placeholder takes its place on program. */
    public static function hold(): Milliseconds
    {
        return Milliseconds::of(2000);
    }

    /** Between two attempts to open a lost device again. */
    public static function retry(): Milliseconds
    {
        return Milliseconds::of(1500);
    }

    /** @return array{hold_ms: int, retry_ms: int} */
    public static function toArray(): array
    {
        return ['hold_ms' => self::hold()->count, 'retry_ms' => self::retry()->count];
    }
}
