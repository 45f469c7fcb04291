<?php

namespace App\Live;

use App\Models\PictureHost;
use App\Models\Show;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** One tab at a time is the picture host of a show; another can take over. */
final readonly class HostLease
{
    private const COMES_BACK_SECONDS = 4;

    public function __construct(private ShowChannel $channel)
    {
    }

    /**
     * @param  'keep'|'take'|'release'|string  $wish  keep: hold it, or get it if nobody does; release: this tab goes, or is loaded again
     * @return array{host: bool, holder: ?string, stills_wanted: bool}
     */
    public function ask(Show $show, User $user, string $tab, string $wish): array
    {
        [$lease, $changed] = DB::transaction(function () use ($show, $user, $tab, $wish): array {
            DB::table('shows')->where('id', $show->id)->lockForUpdate()->first();
            $lease = PictureHost::query()->with('user')->find($show->id);
            if ($wish === 'release') {
                if ($lease?->tab === $tab) {
                    // A tab that is loaded again comes back within this time, under its own name.
                    $lease->update(['seen_at' => now()->subSeconds(max(0, config()->integer('rhetorix.host_lease_seconds') - self::COMES_BACK_SECONDS))]);
                }

                return [$lease, false];
            }
            $free = $lease === null || ! $lease->isAlive() || $wish === 'take';
            if (! $free && $lease->tab !== $tab) {
                return [$lease, false];
            }
            $changed = $lease?->tab !== $tab || ! $lease->isAlive();
            $lease = PictureHost::query()->updateOrCreate(['show_id' => $show->id], ['tab' => $tab, 'user_id' => $user->id, 'seen_at' => now()]);

            return [$lease->load('user'), $changed];
        });
        if ($changed) {
            $this->channel->tell($show, 'host', ['tab' => $lease?->tab, 'holder' => $lease?->user->name]);
        }

        return [
            'host' => $lease?->tab === $tab,
            'holder' => $lease?->user->name,
            'stills_wanted' => $lease?->stillsAreWanted() ?? false,
        ];
    }

    public function isHeldBy(Show $show, string $tab): bool
    {
        return PictureHost::query()->where('show_id', $show->id)->where('tab', $tab)->exists();
    }

    public function wantStills(Show $show): void
    {
        PictureHost::query()->where('show_id', $show->id)->update(['stills_wanted_at' => now()]);
    }
}
