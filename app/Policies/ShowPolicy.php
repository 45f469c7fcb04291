<?php

namespace App\Policies;

use App\Models\Show;
use App\Models\User;
use App\Shows\Role;
use Illuminate\Support\Facades\DB;

/** Who may see a show, who may run it, and who says so. */
final class ShowPolicy
{
    public function view(User $user, Show $show): bool
    {
        return $this->role($user, $show) !== null;
    }

    public function operate(User $user, Show $show): bool
    {
        return $this->role($user, $show)?->mayOperate() ?? false;
    }

    public function lead(User $user, Show $show): bool
    {
        return $this->role($user, $show) === Role::Lead;
    }

    /** @param  string  $type  of a command */
    public function command(User $user, Show $show, string $type): bool
    {
        $role = $this->role($user, $show);

        return str_starts_with($type, 'graphic') ? ($role?->mayDoGraphics() ?? false) : ($role?->mayOperate() ?? false);
    }

    private function role(User $user, Show $show): ?Role
    {
        $role = DB::table('memberships')->where('show_id', $show->id)->where('user_id', $user->id)->value('role');

        return is_string($role) ? Role::from($role) : null;
    }
}
