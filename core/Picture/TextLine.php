<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Rect;

/** One centred line of words on a card. */
final readonly class TextLine
{
    /**
     * Mean width of a letter of the shipped sans in ems, on the wide side, so
     * that a line planned with it fits. From memory; the painter also never
     * lets a line grow past $width.
     */
    private const LETTER = 0.56;

    /**
     * @param  float  $x  middle of the line, in pixels of the canvas
     * @param  float  $y  middle of its height
     * @param  float  $size  of the letters, in pixels
     * @param  float  $width  most that the line may take, in pixels
     */
    private function __construct(
        public string $text,
        public float $x,
        public float $y,
        public float $size,
        public float $width,
        public int $weight,
    ) {
    }

    /** A line as large as asked, or smaller so that it fits into the box. */
    public static function fitted(string $text, Rect $box, float $size, int $weight): self
    {
        $natural = max(1, mb_strlen($text)) * self::LETTER;

        return new self(
            $text,
            $box->x + $box->width / 2,
            $box->y + $box->height / 2,
            min($size, $box->width / $natural),
            $box->width,
            $weight,
        );
    }

    /** @return array{text: string, x: float, y: float, size: float, width: float, weight: int} */
    public function toArray(): array
    {
        return ['text' => $this->text, 'x' => $this->x, 'y' => $this->y, 'size' => $this->size, 'width' => $this->width, 'weight' => $this->weight];
    }
}
