<?php

use App\Models\ApiToken;
use App\Shows\Replay;
use Illuminate\Support\Str;
use Rhetorix\Core\Time\Instant;

beforeEach(function (): void {
    $this->ada = $this->person('Ada');
    $this->ben = $this->person('Ben');
    $this->reading = $this->show($this->ada);
    $this->lectern = $this->connect($this->reading, $this->ada, 'Lectern');
});

const NOBODY = '0190a0a0-0000-7000-8000-000000000000';

/** @return list<array{string, string}> every route of a show: method and path */
function routesOfAShow(): array
{
    return [
        ['get', ''], ['get', '/rig'], ['get', '/pictures'], ['get', '/as-run'], ['get', '/program'], ['get', '/state'], ['get', '/stills'],
        ['get', '/panel'], ['get', '/controls'], ['get', '/transition'], ['get', '/people'], ['post', '/here'], ['post', '/alone'], ['post', '/people'], ['patch', '/people/'.NOBODY], ['delete', '/people/'.NOBODY],
        ['get', '/line-up'], ['get', '/media/'.NOBODY], ['get', '/decks/'.NOBODY],
        ['get', '/cameras/'.NOBODY.'/stream'], ['get', '/cameras/'.NOBODY.'/snapshot'],
        ['post', '/commands'], ['get', '/tally'], ['get', '/tally/'.NOBODY], ['post', '/compose'], ['get', '/compose'], ['get', '/compose/'.NOBODY], ['post', '/harm'], ['post', '/holes'], ['get', '/pictures/file'], ['get', '/pictures/'.NOBODY.'/file'], ['get', '/pictures/'.NOBODY.'/guide.'.NOBODY], ['post', '/pictures/'.NOBODY.'/copy'],
        ['post', '/host'], ['post', '/stills'], ['post', '/media'],
        ['post', '/uploads'], ['get', '/uploads/'.NOBODY], ['patch', '/uploads/'.NOBODY], ['post', '/cameras'],
        ['get', '/sources/'.NOBODY.'/adjust'], ['post', '/sources/'.NOBODY.'/try'], ['post', '/sources/'.NOBODY.'/match'], ['post', '/sources/'.NOBODY.'/backing'],
        ['post', '/reading'], ['post', '/budget'],
        ['post', '/devices'], ['post', '/signals'], ['post', '/bars'], ['post', '/answers'],
        ['get', '/sources/'.NOBODY.'/link'], ['post', '/sources/'.NOBODY.'/link'],
    ];
}

it('lets nobody in who does not belong to the show', function (): void {
    foreach (routesOfAShow() as [$method, $path]) {
        $status = $this->actingAs($this->ben)->{"{$method}Json"}("/shows/{$this->reading->id}{$path}")->status();
        // a part of it that is not there at all is not found before anybody asks for whom
        expect($status)->toBe(str_contains($path, '/uploads/') ? 404 : 403, "{$method} {$path}");
    }
    $this->actingAs($this->ben)->getJson("/live/authorize/session/{$this->reading->id}")->assertForbidden();
});

it('sends everybody to the sign-in first', function (): void {
    foreach (routesOfAShow() as [$method, $path]) {
        $this->{"{$method}Json"}("/shows/{$this->reading->id}{$path}")->assertUnauthorized();
    }
    $this->get('/shows')->assertRedirect('/sign-in');
});

it('covers every route of a show with this test', function (): void {
    $known = array_map(fn (array $route): string => $route[0].' '.str_replace(NOBODY, '{}', $route[1]), routesOfAShow());
    $all = collect(app('router')->getRoutes())->filter(fn ($route) => str_starts_with($route->uri(), 'shows/{show}'))
        ->map(fn ($route) => strtolower($route->methods()[0]).' '.preg_replace('/\{\w+\}/', '{}', Str::after($route->uri(), 'shows/{show}')))->values()->all();

    expect(collect($all)->sort()->values()->all())->toBe(collect($known)->sort()->values()->all());
});

it('lets somebody who may only look, look and not touch', function (): void {
    $this->reading->people()->attach($this->ben, ['role' => 'view']);
    $this->actingAs($this->ben)->get("/shows/{$this->reading->id}")->assertOk();
    $this->actingAs($this->ben)->postJson("/shows/{$this->reading->id}/commands", ['id' => '1', 'type' => 'cover'])
        ->assertForbidden()->assertJsonFragment(['message' => 'You do not have the right to do this in this show. Ask its lead.']);
});

it('signs in and out, and says it when it cannot', function (): void {
    $this->post('/sign-in', ['email' => 'ada@fernhollow.test', 'password' => 'wrong'])->assertSessionHasErrors(['email' => 'This address and password do not belong together. Check both and try again.']);
    $this->post('/sign-in', ['email' => 'ada', 'password' => ''])->assertSessionHasErrors(['email', 'password']);
    $this->post('/sign-in', ['email' => 'ada@fernhollow.test', 'password' => 'a long password'])->assertRedirect('/');
    // one show: its desk at once; and from there to all of them, to make another
    $this->get('/')->assertRedirect("/shows/{$this->reading->id}");
    $this->get('/shows')->assertOk()->assertSee('Reading Stones')->assertSee('Make the show');
    $this->post('/sign-out')->assertRedirect('/sign-in');
    $this->assertGuest();
});

it('shows each page of a show to the one who runs it', function (string $path, string $words): void {
    $this->actingAs($this->ada)->get("/shows/{$this->reading->id}{$path}")->assertOk()->assertSee($words)->assertSee('Lectern');
})->with([['', 'On air'], ['/rig', 'Connect a camera'], ['/pictures', 'Large with an inset'], ['/as-run', 'Connected Lectern']]);

it('says what to do where there is nothing yet', function (): void {
    $empty = $this->show($this->ben);
    $this->actingAs($this->ben)->get("/shows/{$empty->id}/rig")->assertSee('Connect a camera first');
    $this->actingAs($this->ben)->get("/shows/{$empty->id}/as-run")->assertSee('Nothing has happened yet');
    $this->actingAs($this->person('Cleo'))->get('/shows')->assertOk()->assertSee('You have no show yet');
});

it('makes a show, led by whoever made it', function (): void {
    $this->actingAs($this->ben)->post('/shows', ['name' => ''])->assertSessionHasErrors('name');
    $this->actingAs($this->ben)->post('/shows', ['name' => 'Evening class'])->assertRedirectContains('/shows/');
    expect($this->ben->shows()->firstOrFail()->desk->toDesk()->program())->toBe('holding');
});

it('makes a show of the shape that was chosen, with its inset inside it', function (string $shape, int $width, int $height): void {
    $this->actingAs($this->ben)->post('/shows', ['name' => 'Evening class', 'shape' => $shape])->assertRedirectContains('/shows/');
    $show = $this->ben->shows()->firstOrFail();
    $this->connect($show, $this->ben, 'Lectern');
    $this->command($show, $this->ben, 'inset', ['mode' => 'over']);
    $state = $this->getJson("/shows/{$show->id}/state")->assertOk()->json();
    $inset = $show->desk()->firstOrFail()->toDesk()->inset($show->canvas()->size, new Instant(PHP_INT_MAX))?->rect;

    expect($state['book']['canvas'])->toMatchArray(['width' => $width, 'height' => $height])
        ->and($inset?->right())->toBeLessThan($width)->and($inset?->bottom())->toBeLessThan($height)
        ->and((new Replay)->of($show)->toArray())->toEqual($show->desk()->firstOrFail()->toDesk()->toArray());
})->with([['16:9', 1280, 720], ['4:3', 960, 720], ['1:1', 720, 720], ['9:16', 720, 1280]]);

it('refuses a shape that there is none of', function (): void {
    $this->actingAs($this->ben)->post('/shows', ['name' => 'Evening class', 'shape' => '5:1'])->assertSessionHasErrors(['shape' => 'Choose one of the shapes for program.']);
});

it('acts for a person who gave a token, and only in their shows', function (): void {
    $ada = ['Authorization' => 'Bearer '.ApiToken::issue($this->ada, 'test')];
    $ben = ['Authorization' => 'Bearer '.ApiToken::issue($this->ben, 'test')];

    // The guard remembers its person within one process; each request here is a new one.
    $ask = function (string $method, string $path, array $headers = [], array $body = []) {
        app('auth')->forgetGuards();

        return $this->json($method, "/api/v1{$path}", $body, $headers);
    };
    $show = "/shows/{$this->reading->id}";

    $ask('get', '/shows', $ada)->assertOk()->assertJsonPath('shows.0.name', 'Reading Stones');
    $ask('get', '/shows')->assertUnauthorized();
    $ask('get', '/shows', ['Authorization' => 'Bearer rhx_invented'])->assertUnauthorized();
    $ask('get', "{$show}/state", $ada)->assertOk()->assertJsonPath('program', ['holding'])->assertJsonStructure(['revision', 'tally', 'book' => ['pictures', 'rules']]);
    $ask('post', "{$show}/commands", $ada, ['id' => 'a1', 'type' => 'cover'])->assertOk()->assertJsonPath('covered', true);
    $ask('post', "{$show}/commands", $ada, ['id' => 'a2', 'type' => 'nonsense'])->assertStatus(422)->assertJsonStructure(['message']);
    $ask('get', "{$show}/state", $ben)->assertForbidden();
    $ask('post', "{$show}/commands", $ben, ['id' => 'b1', 'type' => 'cover'])->assertForbidden();
    $ask('get', '/shows/'.Str::uuid().'/state', $ada)->assertNotFound();
    foreach ([[$ada, 200], [$ben, 403], [[], 401]] as [$headers, $status]) {
        app('auth')->forgetGuards();
        $this->getJson("/live/authorize/token/{$this->reading->id}", $headers)->assertStatus($status);
    }
});

it('makes tokens in the product, shows them once and withdraws them', function (): void {
    $this->actingAs($this->ada)->post('/tokens', ['name' => 'Button box'])->assertSessionHas('token');
    $token = ApiToken::query()->where('name', 'Button box')->firstOrFail();
    expect($token->hash)->not->toBe(session('token'))->and(hash('sha256', session('token')))->toBe($token->hash);
    $this->actingAs($this->ben)->delete("/tokens/{$token->id}");
    expect(ApiToken::query()->find($token->id))->not->toBeNull();
    $this->actingAs($this->ada)->delete("/tokens/{$token->id}");
    expect(ApiToken::query()->find($token->id))->toBeNull();
});

it('makes a token on the command line', function (): void {
    $this->artisan('rhetorix:token', ['email' => 'ada@fernhollow.test'])->expectsOutputToContain('rhx_')->assertSuccessful();
    $this->artisan('rhetorix:token', ['email' => 'nobody@fernhollow.test'])->expectsOutputToContain('Check the address')->assertFailed();
    $this->artisan('rhetorix:replay', ['show' => $this->reading->id])->assertSuccessful();
});
