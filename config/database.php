<?php

// Only what differs from the framework's own settings.
return [
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'rhetorix'),
            'username' => env('DB_USERNAME', 'rhetorix'),
            'password' => env('DB_PASSWORD', ''),
            'prefix' => '',
            'options' => [
                // A worker keeps its connection: signing in anew (SCRAM) costs more than all questions of a command.
                PDO::ATTR_PERSISTENT => true,
                // One way to the database and back for each question, its values still apart from its words.
                PDO::PGSQL_ATTR_DISABLE_PREPARES => true,
            ],
        ],
    ],
];
