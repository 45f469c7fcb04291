<?php

use Tests\vectors\Vectors;

require __DIR__.'/../../vendor/autoload.php';
require __DIR__.'/../functions.php';
require __DIR__.'/Vectors.php';

file_put_contents(__DIR__.'/desk.json', json_encode(Vectors::make(), JSON_THROW_ON_ERROR)."\n");
