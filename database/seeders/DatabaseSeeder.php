<?php

namespace Database\Seeders;

use App\Models\Show;
use App\Models\User;
use App\Shows\CommandPipeline;
use App\Shows\ShowMaker;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use Rhetorix\Core\Layout\Corner;
use Rhetorix\Core\Layout\InsetLayout;

/** The demo show: an invented evening at an invented society. */
class DatabaseSeeder extends Seeder
{
    private const STAND_INS = [
        ['Lectern', 'lectern', 'people', 'with-picture'],
        ['Bench', 'bench', 'material', 'never'],
        ['Slides', 'slides', 'material', 'never'],
    ];

    public function run(ShowMaker $maker, CommandPipeline $pipeline): void
    {
        if (Show::query()->exists()) {
            return;
        }
        $this->call(PeopleSeeder::class);
        $user = User::query()->where('email', config()->string('rhetorix.demo.email'))->firstOrFail();
        $show = $maker->make('Reading Stones', $user);
        $say = fn (string $type, array $more) => $pipeline->run($show, $user, ['id' => (string) Str::uuid(), 'type' => $type, ...$more]);

        foreach (self::STAND_INS as [$name, $standIn, $group, $hearing]) {
            $say('source.connect', ['name' => $name, 'kind' => 'stand-in', 'group' => $group, 'hearing' => $hearing, 'settings' => ['stand_in' => $standIn]]);
        }
        $sources = $show->sources()->pluck('id', 'name');
        foreach ([['Slides', 'Lectern', Corner::BottomRight], ['Bench', 'Lectern', Corner::TopRight], ['Lectern', 'Bench', Corner::BottomLeft]] as [$large, $inset, $corner]) {
            $say('picture.make', [
                'name' => "{$large} + {$inset}",
                'layout' => (new InsetLayout($corner))->toArray(),
                'fills' => ['large' => $sources[$large], 'inset' => $sources[$inset]],
            ]);
        }
        $pictures = $show->pictures()->pluck('id', 'name');
        $say('cut', ['picture' => $pictures['Lectern']]);
        $say('arm', ['picture' => $pictures['Slides + Lectern']]);
    }
}
