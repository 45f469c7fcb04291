<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

/**
 * What can go wrong with a device of this computer, and what to do about it.
 * The browser looks its sentence up by the name that W3C Media Capture and
 * Streams and W3C Screen Capture give the error.
 */
enum DeviceProblem: string
{
    case Denied = 'denied';
    case NoDevice = 'no-device';
    case InUse = 'in-use';
    case Unplugged = 'unplugged';
    case WrongSize = 'wrong-size';
    case Ended = 'ended';
    case Insecure = 'insecure';
    case OwnScreen = 'own-screen';
    case PhoneAway = 'phone-away';
    case CameraAway = 'camera-away';
    case NotYet = 'not-yet';
    case Unreadable = 'unreadable';
    case Other = 'other';

    public function sentence(): string
    {
        return match ($this) {
            self::Denied => 'This browser was told not to use the camera, microphone or screen. Click the sign left of the address, allow it for this page, and press Try again.',
            self::NoDevice => 'No such device is plugged into this computer. Plug it in; it appears here by itself.',
            self::InUse => 'Another program holds this device. Close the other program or its camera picture; it is tried again by itself.',
            self::Unplugged => 'The device was unplugged. Plug it in again; its picture returns by itself.',
            self::WrongSize => 'The device does not offer the size that was asked for. Choose a smaller size.',
            self::Ended => 'The screen is no longer shared. Press Share again to choose what to show.',
            self::Insecure => 'The browser gives no devices to this address. Open the desk on the computer itself or over a secure address.',
            self::OwnScreen => 'This is the desk itself, which would mirror itself without end. Press Share again and choose another tab, window or screen.',
            self::PhoneAway => 'The phone or computer has stopped or left the network. Open its link there again; its picture returns by itself.',
            self::CameraAway => 'The network camera does not answer. Look at its power and its network cable; it is tried again by itself.',
            self::NotYet => 'Nobody is here yet. The place can be laid out already. Open its link, if it has one, on the device that joins.',
            self::Unreadable => 'This file cannot be read. Bring it once more if it does not come back by itself.',
            self::Other => 'The device did not start. Unplug it, plug it in again, and press Try again.',
        };
    }

    /** @return array<string, string> DOMException name => problem */
    public static function byErrorName(): array
    {
        return array_map(fn (self $problem): string => $problem->value, [
            'NotAllowedError' => self::Denied,
            'SecurityError' => self::Denied,
            'NotFoundError' => self::NoDevice,
            'NotReadableError' => self::InUse,
            'AbortError' => self::InUse,
            'OverconstrainedError' => self::WrongSize,
            'InvalidStateError' => self::Other,
            'TypeError' => self::Insecure,
        ]);
    }

    /** @return array{by_error: array<string, string>, sentences: array<string, string>} */
    public static function toArray(): array
    {
        $sentences = [];
        foreach (self::cases() as $problem) {
            $sentences[$problem->value] = $problem->sentence();
        }

        return ['by_error' => self::byErrorName(), 'sentences' => $sentences];
    }
}
