<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig;

use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Picture\Group;

/** What kind of thing a source is, and what follows from that. */
enum SourceKind: string
{
    case Camera = 'camera';
    case Screen = 'screen';
    case Still = 'still';
    case Microphone = 'microphone';
    case StandIn = 'stand-in';
    case NetworkCamera = 'network-camera';

    /** A phone, tablet or other computer that joins by a link. */
    case Phone = 'phone';

    /** A place for a remote guest who is not there yet. */
    case Guest = 'guest';
    case Deck = 'deck';

    /** A clip or music. */
    case Clip = 'clip';
    case Colour = 'colour';
    case TestPicture = 'test-picture';

    public function label(): string
    {
        return match ($this) {
            self::StandIn => 'stand-in',
            self::Guest => 'place for a guest',
            self::Phone => 'phone or other computer',
            default => str_replace('-', ' ', $this->value),
        };
    }

    public function hasPicture(): bool
    {
        return $this !== self::Microphone;
    }

    /** A camera may lose its edges to fill the canvas; material that is read may not, nor an upright picture. */
    public function fitAlone(Group $group, Size $size): Fit
    {
        return match (true) {
            $this === self::Colour => Fit::Stretch,
            in_array($this, [self::Screen, self::Still, self::Deck, self::Clip, self::TestPicture], true) => Fit::Contain,
            $group === Group::Material && $this === self::StandIn => Fit::Contain,
            $size->aspect() < 1 => Fit::Contain,
            default => Fit::Cover,
        };
    }

    /** Where its own full-screen picture belongs. */
    public function usualGroup(): Group
    {
        return match ($this) {
            self::Screen, self::Still, self::Deck, self::Clip => Group::Material,
            self::Colour, self::TestPicture => Group::Waiting,
            default => Group::People,
        };
    }

    public function usualHearing(): Hearing
    {
        return match ($this) {
            self::Microphone => Hearing::Always,
            self::Still, self::Deck, self::Colour, self::TestPicture, self::NetworkCamera => Hearing::Never,
            default => Hearing::WithPicture,
        };
    }

    /** Opened on the picture host, by the browser, from a device of that computer. */
    public function isDevice(): bool
    {
        return in_array($this, [self::Camera, self::Screen, self::Microphone], true);
    }

    /** Looks at the world, so that a picture of it is never twice the same. */
    public function isMoving(): bool
    {
        return in_array($this, [self::Camera, self::NetworkCamera, self::Phone, self::StandIn], true);
    }

    /** Kinds whose picture comes from outside and can be wrong. */
    public function isWatched(): bool
    {
        return $this->isMoving() || $this === self::Screen || $this === self::Microphone;
    }
}
