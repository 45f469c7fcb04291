<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Devices;

use Rhetorix\Core\Support\Fields;

/** A camera, capture device or microphone that is plugged into the picture host now. */
final readonly class PluggedDevice
{
    /**
     * @param  'camera'|'microphone'  $kind
     * @param  string  $device  the identity that the browser gives it; it may change with the plug or the profile
     * @param  string  $label  what the device calls itself
     */
    public function __construct(public string $kind, public string $device, public string $label)
    {
    }

    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->string('kind', 20) === 'microphone' ? 'microphone' : 'camera',
            $fields->string('device', 200),
            $fields->optionalString('label') ?? '',
        );
    }

    /** @return array{kind: string, device: string, label: string} */
    public function toArray(): array
    {
        return ['kind' => $this->kind, 'device' => $this->device, 'label' => $this->label];
    }
}
