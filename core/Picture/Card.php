<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Purpose;

/** A plain coloured ground with words: the holding card, a placeholder. */
final readonly class Card
{
    private const PAPER = '#f3ede1';

    private const INK = '#1f3350';

    private const SLATE = '#39424f';

    private const CHALK = '#f3f1ec';

    /** @param  list<TextLine>  $lines */
    private function __construct(
        public Size $size,
        public string $ground,
        public string $ink,
        public array $lines,
    ) {
    }

    /** What the audience sees while the show is covered, and before it begins. */
    public static function holding(string $show, Size $canvas): self
    {
        return self::twoLines($canvas, self::PAPER, self::INK, $show, 'We will be with you in a moment');
    }

    /** Stands in for a source that gives no picture. */
    public static function placeholder(string $source, Size $size): self
    {
        return self::twoLines($size, self::SLATE, self::CHALK, $source, 'No picture at the moment');
    }

    /** What is shown in place of a source that somebody blanked. */
    public static function blank(string $source, Size $size): self
    {
        return self::twoLines($size, self::SLATE, self::CHALK, $source, 'This picture is hidden for a moment');
    }

    /** A place for somebody who is not there yet. */
    public static function waitingFor(string $source, Size $size): self
    {
        return self::twoLines($size, self::SLATE, self::CHALK, $source, 'Not here yet');
    }

    /** A place of a layout in which nothing is yet. */
    public static function emptyPlace(Purpose $purpose, Size $size): self
    {
        return self::twoLines($size, self::SLATE, self::CHALK, $purpose->whileEmpty(), 'Empty');
    }

    private static function twoLines(Size $size, string $ground, string $ink, string $head, string $text): self
    {
        $unit = min($size->width, $size->height);
        $margin = 0.08 * $size->width;
        $box = fn (float $middle, float $height): Rect => new Rect(
            $margin,
            $middle * $size->height - $height / 2,
            $size->width - 2 * $margin,
            $height,
        );

        return new self($size, $ground, $ink, [
            TextLine::fitted($head, $box(0.44, 0.2 * $unit), 0.11 * $unit, 600),
            TextLine::fitted($text, $box(0.6, 0.12 * $unit), 0.055 * $unit, 400),
        ]);
    }

    /** @return array{width: float, height: float, ground: string, ink: string, lines: list<array<string, scalar>>} */
    public function toArray(): array
    {
        return [
            ...$this->size->toArray(),
            'ground' => $this->ground,
            'ink' => $this->ink,
            'lines' => array_map(fn (TextLine $line): array => $line->toArray(), $this->lines),
        ];
    }
}
