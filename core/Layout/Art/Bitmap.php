<?php

declare(strict_types=1);

namespace Rhetorix\Core\Layout\Art;

use Rhetorix\Core\Support\BadInput;

/** Which pixels of a drawn frame are holes: one character for each, "1" for a hole, row by row. */
final readonly class Bitmap
{
    public const MOST_PIXELS = 2_100_000;

    /**
     * @param  list<string>  $rows  of "0" and "1", all as long as the picture is wide
     *
     * @throws BadInput
     */
    public function __construct(public int $width, public int $height, public array $rows)
    {
        $isWhole = count($rows) === $height && array_filter($rows, fn (string $row): bool => strlen($row) !== $width) === [];
        if ($width < 8 || $height < 8 || $width * $height > self::MOST_PIXELS || ! $isWhole) {
            throw BadInput::outOfRange('art', 'between 8 × 8 and 1920 × 1080 pixels');
        }
    }

    /**
     * The runs of holes in a row.
     *
     * @return list<array{int, int}> from which column, to before which
     */
    public function runs(int $y): array
    {
        $row = $this->rows[$y];
        $runs = [];
        for ($x = strcspn($row, '1'); $x < $this->width; $x = $end + strcspn($row, '1', $end)) {
            $end = $x + strspn($row, '1', $x);
            $runs[] = [$x, $end];
        }

        return $runs;
    }
}
