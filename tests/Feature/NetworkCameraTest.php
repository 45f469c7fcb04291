<?php

use App\Devices\NetworkCamera\CameraProbe;
use App\Models\NetworkCamera;
use Illuminate\Support\Facades\Process;

/** The simulated camera on a port of its own, and something else that also answers. */
function servers(): array
{
    static $running = null;
    if ($running === null) {
        $port = fn (): int => (int) explode(':', (string) stream_socket_get_name(stream_socket_server('tcp://127.0.0.1:0'), false))[1];
        [$camera, $web] = [$port(), $port()];
        $processes = [
            Process::start(['php', base_path('standins/network-camera/server.php'), '--port', (string) $camera]),
            Process::start(['php', '-S', "127.0.0.1:{$web}", '-t', base_path('docs/api')]),
        ];
        foreach ([$camera, $web] as $one) {
            for ($i = 0; $i < 100 && ! @fsockopen('127.0.0.1', $one); $i++) {
                usleep(100_000);
            }
        }
        $running = ['camera' => $camera, 'web' => $web, 'processes' => $processes, 'nobody' => $port()];
        register_shutdown_function(fn () => array_map(fn ($process) => $process->signal(SIGKILL), $processes));
    }

    return $running;
}

beforeEach(function (): void {
    $this->ada = $this->person('Ada');
    $this->reading = $this->show($this->ada);
    $this->path = "/shows/{$this->reading->id}";
    $this->actingAs($this->ada);
    $this->look = fn (string $address, string $user = 'operator', string $password = 'reading-stones') => $this->postJson("{$this->path}/cameras", ['address' => $address, 'user' => $user, 'password' => $password]);
});

it('adds a camera by its address in one step', function (): void {
    $port = servers()['camera'];
    $id = ($this->look)("127.0.0.1:{$port}")->assertCreated()->assertJson(['maker' => 'Stand-in Room camera', 'moving' => true])->json('camera');
    $camera = NetworkCamera::query()->findOrFail($id);
    expect($camera->stream_uri)->toBe("http://127.0.0.1:{$port}/stream.mjpg");
    // nginx gets the address and an answer to the camera's own challenge, and the camera accepts it
    $answer = $this->get("{$this->path}/cameras/{$id}/snapshot")->assertOk()->assertHeader('X-Accel-Redirect', '/_camera');
    $context = stream_context_create(['http' => ['header' => 'Authorization: '.$answer->headers->get('X-Camera-Authorization')]]);
    $picture = (string) file_get_contents((string) $answer->headers->get('X-Camera-Url'), context: $context);
    expect(getimagesizefromstring($picture))->toMatchArray([0 => 640, 1 => 360, 'mime' => 'image/jpeg']);
});

it('says which of the usual things is wrong', function (Closure $address, string $user, string $word): void {
    ($this->look)($address(), $user)->assertStatus(422)->assertJsonPath('message', fn (string $said) => str_contains($said, $word));
    expect(NetworkCamera::query()->count())->toBe(0);
})->with([
    'no address' => [fn () => 'the one in the corner', 'operator', 'Write it like'],
    'outside the ranges' => [fn () => '198.51.100.7', 'operator', 'address ranges'],
    'nothing answers' => [fn () => '127.0.0.1:'.servers()['nobody'], 'operator', 'Nothing answers'],
    'wrong user' => [fn () => '127.0.0.1:'.servers()['camera'], 'somebody', 'does not accept this user and password'],
    'not a camera' => [fn () => '127.0.0.1:'.servers()['web'], 'operator', 'not a camera'],
]);

it('lets nobody look through the camera of another show', function (): void {
    $ben = $this->person('Ben');
    $other = $this->show($ben)->networkCameras()->create(['address' => '127.0.0.1', 'login' => null, 'maker' => 'Cam', 'stream_uri' => 'http://127.0.0.1:1/s', 'snapshot_uri' => null]);
    $this->get("{$this->path}/cameras/{$other->id}/stream")->assertNotFound();
});

it('does not have the server ask its own services where people rely on it', function (): void {
    expect(CameraProbe::reach()->includes('127.0.0.1'))->toBeTrue('where the simulated camera runs');
    app()->detectEnvironment(fn (): string => 'production');
    expect(CameraProbe::reach()->includes('127.0.0.1'))->toBeFalse();
    app()->detectEnvironment(fn (): string => 'testing');
});
