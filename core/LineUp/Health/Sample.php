<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Health;

use Rhetorix\Core\Key\Matte;
use Rhetorix\Core\Support\Fields;

/** A few numbers about a source, measured by the picture host about once a second. */
final readonly class Sample
{
    /** Cells of the colour map, 8 across and 4 down. */
    public const CELLS = 32;

    /**
     * @param  bool  $lost  no signal at all
     * @param  ?float  $fps  frames that arrived in a second; null where no frames are expected
     * @param  list<float>  $noise  for each two consecutive frames: mean difference of the quieter half of the points, in levels
     * @param  list<float>  $moved  for each two consecutive frames: share of points that moved, 0 to 1
     * @param  ?float  $since  mean difference between the last frame of the sample before and the first of this one, likewise
     * @param  ?float  $mean  mean luma, 0 to 255; null without a picture
     * @param  float  $dark  share of dark points, 0 to 1
     * @param  float  $spread  standard deviation of the luma of the dark points
     * @param  float  $clipped  share of points without detail, 0 to 1
     * @param  list<array{float, float, float}>  $cells  mean luma, Cb and Cr of each cell; empty without a picture
     * @param  ?float  $peak  dBFS; null where no sound is expected
     * @param  ?Matte  $matte  of a source that is keyed
     */
    private function __construct(
        public bool $lost,
        public ?float $fps,
        public array $noise,
        public array $moved,
        public ?float $since,
        public ?float $mean,
        public float $dark,
        public float $spread,
        public float $clipped,
        public array $cells,
        public int $width,
        public int $height,
        public ?float $peak,
        public ?Matte $matte,
    ) {
    }

    public static function fromFields(Fields $fields): self
    {
        $hasPicture = $fields->has('mean');

        return new self(
            $fields->has('lost') && $fields->boolean('lost'),
            $fields->has('fps') ? $fields->number('fps', 0, 1000) : null,
            self::numbers($fields, 'noise'),
            self::numbers($fields, 'moved'),
            $fields->has('since') ? $fields->number('since', 0, 255) : null,
            $hasPicture ? $fields->number('mean', 0, 255) : null,
            $hasPicture ? $fields->number('dark', 0, 1) : 0.0,
            $hasPicture ? $fields->number('spread', 0, 255) : 0.0,
            $hasPicture ? $fields->number('clipped', 0, 1) : 0.0,
            $hasPicture ? self::cells($fields) : [],
            $hasPicture ? $fields->integer('width', 1, 16384) : 0,
            $hasPicture ? $fields->integer('height', 1, 16384) : 0,
            $fields->has('peak') ? $fields->number('peak', -1000, 100) : null,
            $fields->has('matte') ? Matte::fromFields($fields->object('matte')) : null,
        );
    }

    /** The usual noise of this sample, or null where no two frames were compared. */
    public function noiseLevel(): ?float
    {
        return $this->noise === [] ? null : Median::of($this->noise);
    }

    /** The most that two frames differ, in this sample and since the one before, in levels; 0 where none were compared. */
    public function mostNoise(): float
    {
        return max(0.0, $this->since ?? 0.0, ...$this->noise);
    }

    /** Luma of the brightest cell; 0 where none were measured. */
    public function brightestCell(): float
    {
        return max(0.0, ...array_column($this->cells, 0));
    }

    public function mostMoved(): float
    {
        return $this->moved === [] ? 0.0 : max($this->moved);
    }

    /** @return list<float> */
    private static function numbers(Fields $fields, string $name): array
    {
        $numbers = [];
        foreach (array_slice(array_values((array) ($fields->all()[$name] ?? [])), 0, 60) as $value) {
            $numbers[] = is_int($value) || is_float($value) ? max(0.0, min(255.0, (float) $value)) : 0.0;
        }

        return $numbers;
    }

    /** @return list<array{float, float, float}> */
    private static function cells(Fields $fields): array
    {
        $flat = self::flat($fields->all()['cells'] ?? []);
        $cells = [];
        for ($i = 0; 3 * $i + 2 < count($flat); $i++) {
            $cells[] = [$flat[3 * $i], $flat[3 * $i + 1], $flat[3 * $i + 2]];
        }

        return count($cells) === self::CELLS ? $cells : [];
    }

    /** @return list<float> */
    private static function flat(mixed $values): array
    {
        return array_values(array_map(
            fn (mixed $value): float => is_int($value) || is_float($value) ? max(0.0, min(255.0, (float) $value)) : 0.0,
            array_slice((array) $values, 0, 3 * self::CELLS),
        ));
    }
}
