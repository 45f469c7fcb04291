<?php

arch('the core knows no framework and nothing of the application')
    ->expect('Rhetorix\Core')
    ->not->toUse(['Illuminate', 'App', 'Laravel', 'Symfony', 'Carbon']);

arch('the core has no clock, no chance and no input or output of its own')
    ->expect('Rhetorix\Core')
    ->not->toUse(['time', 'microtime', 'hrtime', 'date', 'rand', 'mt_rand', 'random_int', 'file_get_contents', 'fopen', 'curl_init', 'exec', 'getenv', 'sleep', 'usleep']);

arch('everything declares strict types in the core')->expect('Rhetorix\Core')->toUseStrictTypes();

arch('controllers do not open transactions or touch the desk')
    ->expect('App\Http\Controllers')
    ->not->toUse(['Rhetorix\Core\Switching\Desk']);
