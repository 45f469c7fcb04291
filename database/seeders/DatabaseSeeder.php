<?php

namespace Database\Seeders;

use App\Media\MediaIntake;
use App\Models\Medium;
use App\Models\NetworkCamera;
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
    private const TOGETHER = [
        ['Slides', 'Lectern', Corner::BottomRight],
        ['Bench', 'Lectern', Corner::TopRight],
        ['Scope', 'Lectern', Corner::BottomLeft],
        ['Lectern', 'Bench', Corner::BottomLeft],
        ['Room', 'Phone', Corner::TopRight],
    ];

    public function run(ShowMaker $maker, CommandPipeline $pipeline, MediaIntake $intake): void
    {
        if (Show::query()->exists()) {
            return;
        }
        $this->call(PeopleSeeder::class);
        $user = User::query()->where('email', config()->string('rhetorix.demo.email'))->firstOrFail();
        $show = $maker->make('Reading Stones', $user);
        $say = fn (string $type, array $more) => $pipeline->run($show, $user, ['id' => (string) Str::uuid(), 'type' => $type, ...$more]);
        $connect = fn (string $name, string $kind, array $settings, array $more = []) => $say('source.connect', ['name' => $name, 'kind' => $kind, 'settings' => $settings, ...$more]);

        $connect('Lectern', 'stand-in', ['stand_in' => 'lectern']);
        $connect('Room', 'network-camera', ['camera' => $this->camera($show)->id]);
        $connect('Bench', 'stand-in', ['stand_in' => 'bench'], ['group' => 'material', 'hearing' => 'never']);
        $connect('Scope', 'stand-in', ['stand_in' => 'scope'], ['group' => 'material', 'hearing' => 'never']);
        $connect('Slides', 'deck', ['medium' => $this->bring($intake, $show, 'decks/slides.pdf')->id]);
        $connect('Notes', 'deck', ['medium' => $this->bring($intake, $show, 'decks/notes.pdf')->id]);
        $connect('Quarry', 'guest', []);
        $connect('Phone', 'stand-in', ['stand_in' => 'roving'], ['hearing' => 'never']);
        $connect('Tune', 'clip', ['medium' => $this->bring($intake, $show, 'tune/tune.ogg')->id, 'end' => 'loop']);

        $sources = $show->sources()->pluck('id', 'name');
        $say('source.link', ['source' => $sources['Notes'], 'to' => $sources['Slides']]);
        foreach (self::TOGETHER as [$large, $inset, $corner]) {
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

    /** The simulated camera that bin/start runs beside the application. */
    private function camera(Show $show): NetworkCamera
    {
        return NetworkCamera::query()->create([
            'show_id' => $show->id,
            'address' => 'stand-in',
            'login' => ['user' => config()->string('rhetorix.stand_in_camera.user'), 'password' => config()->string('rhetorix.stand_in_camera.password')],
            'maker' => 'Stand-in Room camera',
            'stream_uri' => NetworkCamera::STAND_IN.'/stream.mjpg',
            'snapshot_uri' => NetworkCamera::STAND_IN.'/snapshot.jpg',
        ]);
    }

    private function bring(MediaIntake $intake, Show $show, string $file): Medium
    {
        $copy = storage_path('uploads/'.Str::uuid());
        copy(base_path("standins/{$file}"), $copy);

        return $intake->take($show, $copy, basename($file));
    }
}
