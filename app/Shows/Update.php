<?php

namespace App\Shows;

use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Switching\Tally;
use Rhetorix\Core\Time\Instant;

/** What every screen of a show is told after a command, and what a new screen asks for. */
final class Update
{
    /**
     * @param  array{id: string, type: string, by: ?string}|null  $command
     * @return array<string, mixed>
     */
    public static function of(Desk $desk, PlanBook $book, int $revision, Instant $at, ?array $command): array
    {
        $desk = $desk->settled($at)->desk;
        $flight = $desk->flight();

        return [
            'revision' => $revision,
            'at' => $at->ms,
            'command' => $command,
            'program' => $desk->onAir(),
            'preview' => $desk->preview(),
            'covered' => $desk->isCovered(),
            'transition' => $flight === null ? null : [
                'from' => $flight->from,
                'to' => $flight->to,
                ...$flight->transition->toArray(),
                'elapsed_ms' => (int) round($flight->progress($at) * $flight->transition->duration->count),
            ],
            'tally' => Tally::of($desk, $book, $at)->toArray(),
            'desk' => $desk->toArray(),
        ];
    }
}
