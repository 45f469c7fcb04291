<?php

declare(strict_types=1);

namespace Rhetorix\Core\Colour;

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/** What makes one camera look like another: for each channel a gain and an offset of light. */
final readonly class Matched
{
    public const LARGEST_GAIN = 8.0;

    public const LARGEST_OFFSET = 0.3;

    /**
     * @param  array{float, float, float}  $gain  of red, green and blue light
     * @param  array{float, float, float}  $offset  likewise, added after the gain
     */
    public function __construct(public array $gain, public array $offset)
    {
    }

    public static function nothing(): self
    {
        return new self([1.0, 1.0, 1.0], [0.0, 0.0, 0.0]);
    }

    /** @throws BadInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            [$fields->number('gain_red', 0.05, self::LARGEST_GAIN), $fields->number('gain_green', 0.05, self::LARGEST_GAIN), $fields->number('gain_blue', 0.05, self::LARGEST_GAIN)],
            [$fields->number('offset_red', -self::LARGEST_OFFSET, self::LARGEST_OFFSET), $fields->number('offset_green', -self::LARGEST_OFFSET, self::LARGEST_OFFSET), $fields->number('offset_blue', -self::LARGEST_OFFSET, self::LARGEST_OFFSET)],
        );
    }

    /** @return array<string, float> */
    public function toArray(): array
    {
        return [
            'gain_red' => $this->gain[0], 'gain_green' => $this->gain[1], 'gain_blue' => $this->gain[2],
            'offset_red' => $this->offset[0], 'offset_green' => $this->offset[1], 'offset_blue' => $this->offset[2],
        ];
    }
}
