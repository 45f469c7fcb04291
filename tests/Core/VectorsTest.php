<?php

use Tests\vectors\Vectors;

it('computes what the shared vectors say, which the browser is held against too', function (): void {
    $path = __DIR__.'/../vectors/desk.json';
    expect(json_decode((string) file_get_contents($path), true))
        ->toEqual(json_decode((string) json_encode(Vectors::make()), true), 'The core changed: run php tests/vectors/make.php and look at the difference.');
});
