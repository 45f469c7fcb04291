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

    // A phone's link ends by itself; the device that holds it and was not heard of for so long has left its place.
    'join_link_hours' => 12,
    'join_silence_seconds' => 8,

    // Where phones reach this computer, when it serves the network (bin/start --lan).
    'lan_url' => env('RHETORIX_LAN_URL'),

    'media' => [
        // pixels of the longer side of a still
        'longest_side' => 8192,
        'megabytes' => ['still' => 25, 'deck' => 200, 'clip' => 2000],
        'most_pages' => 500,
    ],

    // The simulated network camera that ships with the product.
    'stand_in_camera' => ['port' => env('RHETORIX_CAMERA_PORT'), 'user' => 'operator', 'password' => 'reading-stones'],
];
