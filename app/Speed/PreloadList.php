<?php

namespace App\Speed;

use App\Live\Channel;
use App\Models\ApiToken;
use App\Models\Show;
use App\Models\User;
use App\Shows\ShowMaker;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * The files of packages that a command and a page need. PHP reads them once
 * when it starts, instead of looking for each of them at every press. They are
 * found by doing it: nothing that happens here stays, and nobody hears of it.
 */
final readonly class PreloadList
{
    public function __construct(private Kernel $http)
    {
    }

    /** @return list<string> paths */
    public function files(): array
    {
        app()->instance(Channel::class, new class implements Channel
        {
            public function publish(string $channel, array $message): void
            {
            }
        });
        DB::beginTransaction();
        $person = User::query()->create(['name' => 'Nobody', 'email' => Str::uuid().'@rhetorix.test', 'password' => Str::random(40)]);
        $show = app(ShowMaker::class)->make('Nothing', $person);
        $this->visit($show, ApiToken::issue($person, 'Nothing'));
        DB::rollBack();

        return self::ofPackages(get_included_files());
    }

    private function visit(Show $show, string $token): void
    {
        $bearer = ['HTTP_AUTHORIZATION' => "Bearer {$token}", 'HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'];
        $command = (string) json_encode(['id' => (string) Str::uuid(), 'type' => 'arm', 'picture' => 'holding']);
        $this->http->handle(Request::create("/api/v1/shows/{$show->id}/commands", 'POST', server: $bearer, content: $command));
        $this->http->handle(Request::create("/api/v1/shows/{$show->id}/state", server: $bearer));
        $this->http->handle(Request::create('/sign-in'));
    }

    /**
     * Those that declare something, and no more: the others are run at every request anyway.
     *
     * @param  list<string>  $files
     * @return list<string>
     */
    private static function ofPackages(array $files): array
    {
        $vendor = base_path('vendor').'/';
        $run = array_flip(array_values(require $vendor.'composer/autoload_files.php'));

        return array_values(array_filter($files, fn (string $file): bool => str_starts_with($file, $vendor)
            && ! str_starts_with($file, $vendor.'composer/') && ! isset($run[$file])
            && preg_match('/^(?:(?:abstract|final|readonly) )*(?:class|interface|trait|enum) /m', (string) file_get_contents($file)) === 1));
    }
}
