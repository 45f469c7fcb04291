<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Devices;

/** A source of the rig together with the device that it was connected from. */
final readonly class KnownDevice
{
    /** @param  'camera'|'microphone'  $kind */
    public function __construct(public string $source, public string $kind, public string $device, public string $label)
    {
    }
}
