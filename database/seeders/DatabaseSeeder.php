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
        $connect('Frame', 'still', ['medium' => $this->bring($intake, $show, 'art/frame.svg')->id]);
        $sources = $show->sources()->pluck('id', 'name');
        foreach ($this->composed() as $name => [$group, $windows]) {
            $say('picture.make', [
                'name' => $name,
                'group' => $group,
                'layout' => ['layout' => 'free', 'canvas' => ['width' => 1280, 'height' => 720], 'windows' => array_map(fn (array $window): array => array_diff_key($window, ['source' => 1]), $windows)],
                'fills' => array_map(fn (string $source): string => $sources[$source], array_filter(array_column($windows, 'source', 'slot'))),
            ]);
        }
        $connect('Sweep', 'clip', ['medium' => $this->bring($intake, $show, 'clips/sweep.webm')->id], ['group' => 'waiting']);
        $pictures = $show->pictures()->pluck('id', 'name');
        $say('cut', ['picture' => $pictures['Lectern']]);
        $say('arm', ['picture' => $pictures['Slides + Lectern']]);
    }

    /**
     * Pictures that somebody composed by hand.
     *
     * @return array<string, array{string, list<array<string, mixed>>}> group and windows with their sources, by name
     */
    private function composed(): array
    {
        $whole = ['x' => 0, 'y' => 0, 'width' => 1280, 'height' => 720];

        return [
            'Bench, round Lectern' => ['together', [
                ['slot' => 'material', 'source' => 'Bench', ...$whole],
                ['slot' => 'presenter', 'source' => 'Lectern', 'x' => 952, 'y' => 420, 'width' => 264, 'height' => 264, 'aspect' => '1:1', 'fit' => 'cover', 'shape' => 'circle', 'border' => ['width' => 6, 'colour' => '#fdfaf3'], 'shadow' => ['size' => 24, 'shade' => 0.5], 'view' => ['zoom' => 1.25, 'x' => 0.5, 'y' => 0.45]],
                ['slot' => 'name', 'purpose' => 'words', 'x' => 64, 'y' => 580, 'width' => 576, 'height' => 104],
            ]],
            'Slides, a guest later' => ['together', [
                ['slot' => 'material', 'source' => 'Slides', 'x' => 0, 'y' => 90, 'width' => 960, 'height' => 540],
                ['slot' => 'guest', 'purpose' => 'guest', 'x' => 984, 'y' => 90, 'width' => 272, 'height' => 362, 'fit' => 'cover', 'shape' => 'rounded', 'radius' => 0.08],
                ['slot' => 'room', 'purpose' => 'room', 'source' => 'Room', 'x' => 984, 'y' => 468, 'width' => 272, 'height' => 162, 'fit' => 'cover', 'shape' => 'rounded', 'radius' => 0.12],
            ]],
            'Framed' => ['together', [
                ['slot' => 'material', 'source' => 'Scope', 'x' => 38, 'y' => 38, 'width' => 904, 'height' => 604, 'fit' => 'cover'],
                ['slot' => 'presenter', 'source' => 'Lectern', 'x' => 988, 'y' => 398, 'width' => 244, 'height' => 244, 'aspect' => '1:1', 'fit' => 'cover'],
                ['slot' => 'frame', 'purpose' => 'art', 'source' => 'Frame', 'fit' => 'stretch', 'locked' => true, ...$whole],
            ]],
        ];
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
