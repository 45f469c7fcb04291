<?php

namespace Tests;

use App\Live\Channel;
use App\Models\Show;
use App\Models\Upload;
use App\Models\User;
use App\Shows\CommandPipeline;
use App\Shows\ShowMaker;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Str;

abstract class TestCase extends BaseTestCase
{
    public RememberingChannel $channel;

    protected function setUp(): void
    {
        // These tests empty their database, so it must be one that is meant for that.
        if (! str_ends_with((string) getenv('DB_DATABASE'), '_test')) {
            $this->fail('Run these tests with bin/test feature: they need a database of their own.');
        }
        parent::setUp();
        $this->withoutVite();
        $this->channel = new RememberingChannel;
        $this->app->instance(Channel::class, $this->channel);
    }

    public function person(string $name = 'Ada'): User
    {
        return User::query()->create(['name' => $name, 'email' => Str::lower($name).'@fernhollow.test', 'password' => 'a long password']);
    }

    public function show(User $lead): Show
    {
        return app(ShowMaker::class)->make('Reading Stones', $lead);
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    public function command(Show $show, User $by, string $type, array $more = []): array
    {
        return app(CommandPipeline::class)->run($show, $by, ['id' => (string) Str::uuid(), 'type' => $type, ...$more]);
    }

    /** @return string id of the source */
    public function connect(Show $show, User $by, string $name, string $kind = 'stand-in'): string
    {
        $settings = $kind === 'stand-in' ? ['stand_in' => 'lectern'] : ['device' => "device of {$name}"];
        $this->command($show, $by, 'source.connect', ['name' => $name, 'kind' => $kind, 'settings' => $settings]);

        return $show->sources()->where('name', $name)->firstOrFail()->id;
    }

    /** A file that has arrived whole, as the upload routes leave it. */
    public function uploaded(Show $show, User $by, string $name, string $contents): Upload
    {
        $upload = Upload::query()->create(['show_id' => $show->id, 'user_id' => $by->id, 'name' => $name, 'bytes' => strlen($contents)]);
        file_put_contents($upload->path(), $contents);

        return $upload;
    }

    public function pictureOf(Show $show, string $name): string
    {
        return $show->pictures()->where('name', $name)->firstOrFail()->id;
    }
}
