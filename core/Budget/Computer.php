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
     * @param  float  $paint  milliseconds for a million pixels painted from a picture that is already there
     * @param  float  $pass  milliseconds for one pass of the show as it stands: program, preview and miniatures
     * @param  float  $look  milliseconds beside the painter for a million pixels whose colours are put right or whose backing is taken out
     * @param  int  $cores  processors
     */
    public function __construct(
        public float $copy,
        public float $each,
        public float $paint,
        public float $pass,
        public float $look,
        public int $cores,
    ) {
    }

    /** @throws BadInput */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->number('copy', 0.01, 1000),
            $fields->number('each', 0, 1000),
            $fields->number('paint', 0.01, 1000),
            $fields->number('pass', 0, 1000),
            $fields->number('look', 0.01, 10_000),
            $fields->integer('cores', 1, 1024),
        );
    }

    /** @return array<string, float|int> */
    public function toArray(): array
    {
        return ['copy' => $this->copy, 'each' => $this->each, 'paint' => $this->paint, 'pass' => $this->pass, 'look' => $this->look, 'cores' => $this->cores];
    }
}
