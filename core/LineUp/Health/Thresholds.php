<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Health;

/**
 * Where a measured value stops being well. Luma is 0 to 255 as the browser
 * gives it. Common practice, tuned on clips of our own; how they do on clips
 * they were not tuned on is reported by tests/Reference/health.spec.ts.
 */
final class Thresholds
{
    /** How often the picture host measures each source. */
    public const SAMPLE_EVERY_MS = 1000;

    /** Consecutive frames that are compared in each sample. */
    public const BURST_FRAMES = 6;

    /** Points that are read of a frame, without smoothing, so that noise is kept. */
    public const COLUMNS = 96;

    public const ROWS = 54;

    /** A point this dark counts as dark. */
    public const DARK_LUMA = 30;

    /** A point this bright has lost its detail. */
    public const CLIPPED_LUMA = 250;

    /** A difference of a point between two frames that is movement, not noise. */
    public const MOVED_LUMA = 20;

    /** Black: nearly all points are dark, a logo or a clock may be on it, and the dark is even. */
    public const BLACK_SHARE = 0.92;

    public const BLACK_SPREAD = 5.0;

    public const DARK_MEAN = 48.0;

    /** A dark picture with a part as bright as this is meant so: a microscope's field of view, a lit face in a dark hall. */
    public const DARK_BRIGHTEST = 80.0;

    public const CLIPPED_SHARE = 0.25;

    /** A camera whose noise falls below this share of its own usual noise shows the same frame again. */
    public const FROZEN_NOISE = 0.35;

    /** At most this share of points may move while it counts as frozen. */
    public const FROZEN_MOVED = 0.002;

    /** Below this the noise of a source says nothing: drawn pictures have none. */
    public const LEAST_NOISE = 0.08;

    /** Two frames that differ by less are the same frame, bit for bit or nearly. */
    public const SAME_FRAME = 0.004;

    /** Slow: fewer different frames than this share of what was asked for. */
    public const SLOW_SHARE = 0.6;

    /** dBFS. Below it a sound is silent. */
    public const SILENT_DB = -66.0;

    /** Levels of colour difference by which the whole picture may move. */
    public const COLOUR_SHIFT = 6.0;

    /** Levels of luma by which half of the picture moves when the camera looks at something else. */
    public const OTHER_SCENE = 14.0;

    /** @return array<string, int> what the picture host needs to measure */
    public static function toArray(): array
    {
        return [
            'every_ms' => self::SAMPLE_EVERY_MS,
            'burst' => self::BURST_FRAMES,
            'columns' => self::COLUMNS,
            'rows' => self::ROWS,
            'dark' => self::DARK_LUMA,
            'clipped' => self::CLIPPED_LUMA,
            'moved' => self::MOVED_LUMA,
        ];
    }
}
