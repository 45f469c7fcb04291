<?php

namespace App\Devices\NetworkCamera;

use Rhetorix\Core\Support\Refusal;

/** Why a camera of the network cannot be added, and what to do about it. */
final class CameraProblem extends Refusal
{
    public static function badAddress(string $address): self
    {
        return new self("“{$address}” is not the address of a camera. Write it like 192.168.10.20, with its port behind a colon if it has one.");
    }

    public static function noAnswer(string $address): self
    {
        return new self("Nothing answers at {$address}. Look whether the camera has power and network and whether the address and the port are right, then try again.");
    }

    public static function wrongPassword(string $address): self
    {
        return new self("The camera at {$address} does not accept this user and password. Check both; they are the camera's own, not yours.");
    }

    public static function notACamera(string $address, string $why): self
    {
        return new self("Something answers at {$address}, but it is not a camera with the ONVIF service ({$why}). Check the address, or switch ONVIF on in the settings of the camera.");
    }

    public static function noStream(string $address): self
    {
        return new self("The camera at {$address} offers neither motion JPEG nor single pictures. Choose a profile with motion JPEG in its settings.");
    }
}
