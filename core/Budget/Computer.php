<?php

declare(strict_types=1);

namespace Rhetorix\Core\Budget;

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/**
 * What was measured on the computer that holds the devices, in a few seconds:
 * what its painter needs for one piece of each kind of work.
 */
final readonly class Computer
{
    /**
     * @param  float  $copy  milliseconds for a million pixels of a camera's frame, from the camera's own format
     * @param  float  $each  milliseconds for a frame of a camera, however small
     * @param  float  $pass  milliseconds for one pass of the show as it stands: program, preview and miniatures
     * @param  float  $look  milliseconds beside the painter for a million pixels whose colours are put right or whose backing is taken out
     */
    public function __construct(
        public float $copy,
        public float $each,
        public float $pass,
        public float $look,
    ) {
    }

    /** @throws BadInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->number('copy', 0.01, 1000),
            $fields->number('each', 0, 1000),
            $fields->number('pass', 0, 1000),
            $fields->number('look', 0.01, 10_000),
        );
    }

    /** @return array<string, float> */
    public function toArray(): array
    {
        return ['copy' => $this->copy, 'each' => $this->each, 'pass' => $this->pass, 'look' => $this->look];
    }
}
