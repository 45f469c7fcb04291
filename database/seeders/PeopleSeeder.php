<?php

namespace Database\Seeders;

use App\Models\User;
use Illuminate\Database\Seeder;

/** The person of the demo sign-in. */
class PeopleSeeder extends Seeder
{
    public function run(): void
    {
        User::query()->firstOrCreate(
            ['email' => config()->string('rhetorix.demo.email')],
            ['name' => 'Demo operator', 'password' => config()->string('rhetorix.demo.password')],
        );
    }
}
