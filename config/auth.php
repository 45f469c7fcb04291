<?php

return [
    'guards' => [
        'bearer' => ['driver' => 'bearer'],
    ],
    'providers' => [
        'users' => ['driver' => 'eloquent', 'model' => App\Models\User::class],
    ],
];
