<?php

/**
 * A simulated camera of the network: php server.php --port N
 * It answers ONVIF's Device, Media and PTZ services over SOAP and gives motion
 * JPEG and snapshots of a room in which it really pans, tilts and zooms.
 */

use StandIns\NetworkCamera\Camera;
use StandIns\NetworkCamera\RoomPicture;
use StandIns\NetworkCamera\Server;

require __DIR__.'/../../vendor/autoload.php';

$options = getopt('', ['port:', 'user:', 'password:']);
$port = (int) ($options['port'] ?? 8999);

(new Server($port, (string) ($options['user'] ?? 'operator'), (string) ($options['password'] ?? 'reading-stones'), new Camera, new RoomPicture))->run();
