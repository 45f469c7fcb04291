<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Transition;

/**
 * Transitions that take time. A cut takes none and is a command of its own.
 *
 * Shapes and directions of wipes are those of the W3C SMIL 3.0 transition
 * taxonomy (its numbers from memory): see smil().
 */
enum TransitionKind: string
{
    case Mix = 'mix';

    /** Windows travel to their new places. */
    case Glide = 'glide';

    /** Through a colour. */
    case Dip = 'dip';
    case WipeRight = 'wipe-right';
    case WipeLeft = 'wipe-left';
    case WipeDown = 'wipe-down';
    case WipeUp = 'wipe-up';
    case WipeDiagonal = 'wipe-diagonal';
    case WipeIris = 'wipe-iris';
    case WipeClock = 'wipe-clock';

    /** The old picture is pushed out by the new one. */
    case PushLeft = 'push-left';
    case PushRight = 'push-right';
    case PushUp = 'push-up';
    case PushDown = 'push-down';

    /** The new picture slides over the old one. */
    case SlideLeft = 'slide-left';
    case SlideRight = 'slide-right';
    case SlideUp = 'slide-up';
    case SlideDown = 'slide-down';

    /** A clip with transparency lies over the change, which happens at its marked frame. */
    case Clip = 'clip';

    public function label(): string
    {
        return match ($this) {
            self::WipeIris => 'Iris',
            self::WipeClock => 'Clock',
            default => ucfirst(str_replace('-', ' ', $this->value)),
        };
    }

    /**
     * Type, subtype and number in the taxonomy; null for what it does not know.
     *
     * @return ?array{type: string, subtype: string, number: ?int, reversed: bool}
     */
    public function smil(): ?array
    {
        $is = fn (string $type, string $subtype, ?int $number = null, bool $reversed = false): array => ['type' => $type, 'subtype' => $subtype, 'number' => $number, 'reversed' => $reversed];

        return match ($this) {
            self::Mix => $is('fade', 'crossfade'),
            self::Dip => $is('fade', 'fadeToColor'),
            self::Glide, self::Clip => null,
            self::WipeRight => $is('barWipe', 'leftToRight', 1),
            self::WipeLeft => $is('barWipe', 'leftToRight', 1, true),
            self::WipeDown => $is('barWipe', 'topToBottom', 2),
            self::WipeUp => $is('barWipe', 'topToBottom', 2, true),
            self::WipeDiagonal => $is('diagonalWipe', 'topLeft', 41),
            self::WipeIris => $is('ellipseWipe', 'circle', 119),
            self::WipeClock => $is('clockWipe', 'clockwiseTwelve', 201),
            self::PushLeft => $is('pushWipe', 'fromRight'),
            self::PushRight => $is('pushWipe', 'fromLeft'),
            self::PushUp => $is('pushWipe', 'fromBottom'),
            self::PushDown => $is('pushWipe', 'fromTop'),
            self::SlideLeft => $is('slideWipe', 'fromRight'),
            self::SlideRight => $is('slideWipe', 'fromLeft'),
            self::SlideUp => $is('slideWipe', 'fromBottom'),
            self::SlideDown => $is('slideWipe', 'fromTop'),
        };
    }

    public function isWipe(): bool
    {
        return str_starts_with($this->value, 'wipe');
    }

    /**
     * Which way a picture travels.
     *
     * @return array{int, int} across and down, each -1, 0 or 1
     */
    public function direction(): array
    {
        return match (true) {
            str_ends_with($this->value, 'left') => [-1, 0],
            str_ends_with($this->value, 'right') => [1, 0],
            str_ends_with($this->value, 'up') => [0, -1],
            str_ends_with($this->value, 'down') => [0, 1],
            default => [0, 0],
        };
    }
}
