<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Health;

use Rhetorix\Core\Time\Milliseconds;

/** How the signal of a source is, the gravest first. */
enum Signal: string
{
    case Lost = 'lost';
    case Black = 'black';
    case Frozen = 'frozen';
    case Slow = 'slow';
    case WrongSize = 'wrong-size';
    case Dark = 'dark';
    case Clipped = 'clipped';
    case ColourShift = 'colour-shift';
    case CutOff = 'cut-off';
    case Backing = 'backing';
    case Silent = 'silent';
    case Live = 'live';

    public function label(): string
    {
        return match ($this) {
            self::WrongSize => 'wrong size',
            self::Dark => 'too dark',
            self::Clipped => 'too bright',
            self::ColourShift => 'colour has shifted',
            self::CutOff => 'leaves the keyed area',
            self::Backing => 'backing not clean',
            default => $this->value,
        };
    }

    public function whatToDo(): string
    {
        return match ($this) {
            self::Lost => 'Look at its plug, its power and its network; it comes back by itself.',
            self::Black => 'Take the lens cap off, switch the light on, or wake what is plugged into it.',
            self::Frozen => 'Press Restart on this source; if it stays frozen, switch the camera off and on.',
            self::Slow => 'Give it more light or choose a smaller size; close other programs that use this computer.',
            self::WrongSize => 'Choose a size that the device can deliver, or keep the one it gives.',
            self::Dark => 'Switch more light on, or open the exposure of the camera.',
            self::Clipped => 'Close the exposure of the camera, or draw the curtain behind.',
            self::ColourShift => 'Set the white balance of the camera by hand; it follows what it sees.',
            self::CutOff => 'Ask the person back to the middle, open the camera’s view, or set the edges of the key wider.',
            self::Backing => 'Sample the backing again, light it evenly, or draw the edges of the key in.',
            self::Silent => 'Look whether it is switched on and not muted at the device, then speak into it.',
            self::Live => '',
        };
    }

    /** How long it has to last until it is said. Common practice: shorter than a presenter would notice, longer than a blink. */
    public function raisedAfter(): Milliseconds
    {
        return Milliseconds::of(match ($this) {
            self::Black, self::CutOff => 1500,
            self::Frozen => 3000,
            self::WrongSize => 2000,
            self::Slow, self::Dark, self::Clipped => 4000,
            self::ColourShift, self::Backing => 5000,
            self::Silent => 10_000,
            self::Lost, self::Live => 0,
        });
    }

    /** How long it has to be gone until it is taken back. */
    public function clearedAfter(): Milliseconds
    {
        return Milliseconds::of(match ($this) {
            self::Black, self::WrongSize, self::Frozen, self::CutOff => 1000,
            self::Slow, self::Dark, self::Clipped, self::Backing => 3000,
            self::ColourShift => 4000,
            self::Silent, self::Lost, self::Live => 0,
        });
    }
}
