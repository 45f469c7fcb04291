<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Picture\Group;

/** What kind of thing a source is, and what follows from that. */
enum SourceKind: string
{
    case Camera = 'camera';
    case Screen = 'screen';
    case Still = 'still';
    case Microphone = 'microphone';
    case StandIn = 'stand-in';

    public function hasPicture(): bool
    {
        return $this !== self::Microphone;
    }

    /** A camera may lose its edges to fill the canvas; material that is read may not. */
    public function fitAlone(Group $group): Fit
    {
        return match (true) {
            $this === self::Screen, $this === self::Still => Fit::Contain,
            $group === Group::Material && $this === self::StandIn => Fit::Contain,
            default => Fit::Cover,
        };
    }

    /** Where its own full-screen picture belongs. */
    public function usualGroup(): Group
    {
        return match ($this) {
            self::Screen, self::Still => Group::Material,
            default => Group::People,
        };
    }

    /** Opened on the picture host, by the browser, from a device of that computer. */
    public function isDevice(): bool
    {
        return in_array($this, [self::Camera, self::Screen, self::Microphone], true);
    }
}
