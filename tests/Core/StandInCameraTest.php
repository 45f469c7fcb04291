<?php

use StandIns\NetworkCamera\Camera;
use StandIns\NetworkCamera\Guard;
use StandIns\NetworkCamera\Request;
use StandIns\NetworkCamera\Services;

/** @return array<string, float> where it stands after some seconds, looked at 25 times a second */
function after(Camera $camera, float $seconds, float $from = 1000.0): array
{
    $position = $camera->at($from);
    for ($i = 1; $i <= $seconds * 25; $i++) {
        $position = $camera->at($from + $i / 25);
    }

    return $position;
}

it('travels: it is on its way first, and there later', function (): void {
    $camera = new Camera;
    $camera->at(1000.0);
    $camera->goTo(['pan' => 0.9, 'tilt' => -0.5, 'zoom' => 0.6]);
    $underway = after($camera, 0.4);
    expect($underway['pan'])->toBeGreaterThan(0.1)->toBeLessThan(0.6)->and($camera->isMoving())->toBeTrue();
    expect(after($camera, 4, 1000.4))->toEqualWithDelta(['pan' => 0.9, 'tilt' => -0.5, 'zoom' => 0.6], 1e-9)
        ->and($camera->isMoving())->toBeFalse();
});

it('goes slower when it is asked to', function (): void {
    [$fast, $slow] = [new Camera, new Camera];
    foreach ([[$fast, 1.0], [$slow, 0.2]] as [$camera, $speed]) {
        $camera->at(1000.0);
        $camera->goTo(['pan' => 1.0], $speed);
    }
    expect(after($fast, 0.5)['pan'])->toBeGreaterThan(3 * after($slow, 0.5)['pan']);
});

it('stops at the ends of its motors', function (array $wanted, array $reached): void {
    $camera = new Camera;
    $camera->at(1000.0);
    $camera->goTo($wanted);
    expect(after($camera, 8))->toMatchArray($reached);
})->with([
    [['pan' => 7.0], ['pan' => 1.0]], [['tilt' => -3.0], ['tilt' => -1.0]], [['zoom' => 2.0], ['zoom' => 1.0]], [['zoom' => -1.0], ['zoom' => 0.0]],
]);

it('moves while the control is held, and stays where it was let go', function (): void {
    $camera = new Camera;
    $camera->at(1000.0);
    $camera->drive(['pan' => -1.0]);
    $held = after($camera, 0.5)['pan'];
    $camera->stop();
    expect($held)->toBeLessThan(-0.3)->and(after($camera, 2, 1000.5)['pan'])->toEqualWithDelta($held, 1e-9);
});

it('remembers a position under a name', function (): void {
    $camera = new Camera;
    $camera->at(1000.0);
    $camera->goTo(['pan' => 0.3]);
    after($camera, 4);
    $token = $camera->remember('corner', null);
    expect($camera->presets[$token]['name'])->toBe('corner')->and($camera->presets[$token]['position']['pan'])->toEqualWithDelta(0.3, 1e-9)
        ->and(array_column($camera->presets, 'name'))->toContain('bench', 'wall left', 'wall right', 'seats', 'wide');
});

it('reads a request only when all of it has come', function (): void {
    $bytes = "POST /onvif/device_service HTTP/1.1\r\nHost: camera\r\nContent-Length: 5\r\n\r\nhello";
    foreach (range(1, strlen($bytes) - 1) as $length) {
        expect(Request::parse(substr($bytes, 0, $length)))->toBeNull();
    }
    $request = Request::parse($bytes);
    expect($request?->method)->toBe('POST')->and($request?->path)->toBe('/onvif/device_service')->and($request?->body)->toBe('hello');
});

it('tells time to everybody, and the rest to who knows the password', function (string $body, string $status, string $word): void {
    $services = new Services(new Camera, new Guard('operator', 'secret'), 'http://camera');
    [$answered, $soap] = $services->answer('<Envelope xmlns="http://www.w3.org/2003/05/soap-envelope"><Body>'.$body.'</Body></Envelope>');
    expect($answered)->toBe($status)->and($soap)->toContain($word);
})->with([
    ['<GetSystemDateAndTime xmlns="http://www.onvif.org/ver10/device/wsdl"/>', '200 OK', 'UTCDateTime'],
    ['<GetProfiles xmlns="http://www.onvif.org/ver10/media/wsdl"/>', '400 Bad Request', 'NotAuthorized'],
    ['', '400 Bad Request', 'empty'],
]);

it('says that it does not understand what is no XML', function (): void {
    expect((new Services(new Camera, new Guard('a', 'b'), 'http://camera'))->answer('hello')[1])->toContain('not XML');
});
