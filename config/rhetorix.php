<?php

return [
    // Made when the configuration is cached, at each start: what an older code kept is not read by a newer one.
    'build' => (string) time(),

    // Publishing to the live channel goes through a socket that only this machine's processes can open.
    'publish_socket' => env('RHETORIX_PUBLISH_SOCKET'),

    // The address that people are told, when no request says it.
    'demo' => [
        'email' => env('RHETORIX_DEMO_EMAIL', 'demo@rhetorix.test'),
        'password' => env('RHETORIX_DEMO_PASSWORD', 'reading-stones'),
    ],

    // A picture host that was not heard of for so long has lost its lease.
    'host_lease_seconds' => 6,

    // Stills are made only while some panel asks for them.
    'stills_wanted_seconds' => 6,

    'media' => [
        'longest_side' => 8192,
        'megabytes' => 25,
    ],
];
