<?php

namespace App\Live;

use App\Models\Show;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Who is here, on what device; told to everybody when it changes. */
final readonly class Presence
{
    /** A tab that was not heard of for so long is gone. */
    private const GONE_AFTER_MS = 15_000;

    public function __construct(private ShowChannel $channel)
    {
    }

    /** @param  'stay'|'leave'|string  $wish */
    public function hear(Show $show, User $user, string $tab, string $device, string $wish): void
    {
        $now = (int) now()->getTimestampMs();
        $gone = DB::table('presences')->where('show_id', $show->id)
            ->where(fn ($rows) => $rows->where('seen_ms', '<', $now - self::GONE_AFTER_MS)->when($wish === 'leave', fn ($rows) => $rows->orWhere('tab', $tab)))
            ->delete();
        $new = 0;
        if ($wish !== 'leave') {
            $new = DB::table('presences')->where('tab', $tab)->where('show_id', $show->id)->doesntExist() ? 1 : 0;
            DB::table('presences')->upsert(['tab' => $tab, 'show_id' => $show->id, 'user_id' => $user->id, 'device' => Str::limit($device, 76), 'seen_ms' => $now], ['tab'], ['show_id', 'user_id', 'device', 'seen_ms']);
        }
        if ($gone + $new > 0) {
            $this->tell($show);
        }
    }

    public function tell(Show $show): void
    {
        $this->channel->tell($show, 'people', $this->of($show));
    }

    /** @return array{people: list<array{tab: string, user: int, name: string, role: string, device: string}>, alone: ?array{user: int, name: string, until: int}} */
    public function of(Show $show): array
    {
        $rows = DB::table('presences')
            ->join('users', 'users.id', '=', 'presences.user_id')
            ->join('memberships', fn ($join) => $join->on('memberships.user_id', '=', 'users.id')->where('memberships.show_id', $show->id))
            ->where('presences.show_id', $show->id)
            ->where('seen_ms', '>=', (int) now()->getTimestampMs() - self::GONE_AFTER_MS)
            ->orderBy('users.name')->orderBy('tab')
            ->get(['tab', 'users.id as user', 'users.name as name', 'role', 'device']);
        $now = $show->refresh();
        $alone = $now->aloneBy();

        return [
            'people' => array_values($rows->map(fn (object $row): array => ['tab' => $row->tab, 'user' => $row->user, 'name' => $row->name, 'role' => $row->role, 'device' => $row->device])->all()),
            'alone' => $alone === null ? null : ['user' => $alone->id, 'name' => $alone->name, 'until' => (int) $now->alone_until?->getTimestampMs()],
        ];
    }
}
