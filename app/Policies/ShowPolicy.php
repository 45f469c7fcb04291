<?php

namespace App\Policies;

use App\Models\Show;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Who may see a show, and who may run it. */
final class ShowPolicy
{
    public function view(User $user, Show $show): bool
    {
        return $this->role($user, $show) !== null;
    }

    public function operate(User $user, Show $show): bool
    {
        return in_array($this->role($user, $show), ['lead', 'operator'], true);
    }

    private function role(User $user, Show $show): ?string
    {
        $role = DB::table('memberships')->where('show_id', $show->id)->where('user_id', $user->id)->value('role');

        return is_string($role) ? $role : null;
    }
}
