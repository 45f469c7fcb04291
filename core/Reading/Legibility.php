<?php

declare(strict_types=1);

namespace Rhetorix\Core\Reading;

/**
 * Whether the smallest writing of a picture can be read at the far end.
 *
 * A capital needs 9 pixels to be read with ease and 7 to be told at all
 * (character matrices of 7×9 and 5×7: ISO 9241-303, values from memory); small
 * letters are about 0.7 of it.
 */
final readonly class Legibility
{
    public const EASY = 6.3;

    public const LEAST = 4.9;

    /** Words a line that is set apart may have: what is smaller than this share of the picture's writing is a footnote or a speck. */
    private const STRAY = 0.04;

    private function __construct(public ?Writing $smallest, public float $farHeight, private int $pictureHeight)
    {
    }

    /** @param  list<Writing>  $writing */
    public static function of(array $writing, int $width, int $height, FarEnd $farEnd): self
    {
        usort($writing, fn (Writing $a, Writing $b): int => $a->xHeight <=> $b->xHeight);
        $all = array_sum(array_map(fn (Writing $line): float => $line->width / $line->xHeight, $writing));
        $passed = 0.0;
        $smallest = null;
        foreach ($writing as $line) {
            $smallest ??= $line;
            $passed += $line->width / $line->xHeight;
            if ($passed > self::STRAY * $all) {
                $smallest = $line;
                break;
            }
        }

        return new self($smallest, $smallest === null ? 0.0 : $smallest->xHeight * $farEnd->width() / $width, $height);
    }

    public function isReadable(): bool
    {
        return $this->smallest === null || $this->farHeight >= self::LEAST;
    }

    /** How many times larger it must be to be read with ease; 1 when it is large enough. */
    public function factor(): float
    {
        return $this->smallest === null ? 1.0 : max(1.0, self::EASY / $this->farHeight);
    }

    public function sentence(): string
    {
        if ($this->smallest === null) {
            return 'No writing was found.';
        }
        $small = sprintf('The smallest writing arrives with small letters %.1f pixels high', $this->farHeight);

        return match (true) {
            $this->farHeight >= self::EASY => "{$small}: it can be read.",
            $this->isReadable() => "{$small}: it can just be read. {$this->larger()}.",
            default => sprintf('%s, and %.0f are needed: it cannot be read. %s.', $small, ceil(self::LEAST), $this->larger()),
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'readable' => $this->isReadable(),
            'easy' => $this->farHeight >= self::EASY || $this->smallest === null,
            'far_height' => round($this->farHeight, 1),
            'factor' => round($this->factor(), 2),
            'sentence' => $this->sentence(),
            'smallest' => $this->smallest?->toArray(),
        ];
    }

    private function larger(): string
    {
        $has = $this->smallest === null ? 0.0 : 100 * $this->smallest->xHeight / $this->pictureHeight;

        return sprintf("Make it %.1f times larger: small letters %.1f\u{a0}%% of the picture’s height instead of %.1f\u{a0}%%", $this->factor(), $has * $this->factor(), $has);
    }
}
