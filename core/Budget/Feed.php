<?php

declare(strict_types=1);

namespace Rhetorix\Core\Budget;

use Rhetorix\Core\Geometry\Size;

/** What one source brings: so large, so often. */
final readonly class Feed
{
    /**
     * @param  float  $rate  frames a second
     * @param  bool  $coded  its frames come in a camera's own format and have to be turned into pixels
     * @param  bool  $looked  its colours are put right or its backing is taken out
     * @param  bool  $adjustable  a smaller size can be asked for
     */
    public function __construct(
        public string $id,
        public string $name,
        public Size $size,
        public float $rate,
        public bool $coded = true,
        public bool $looked = false,
        public bool $adjustable = true,
    ) {
    }

    public function megapixels(): float
    {
        return $this->size->width * $this->size->height / 1e6;
    }

    /** The same with fewer lines, in its own shape. */
    public function withLines(int $lines): self
    {
        $width = (int) (2 * round($this->size->width * $lines / $this->size->height / 2));

        return new self($this->id, $this->name, new Size($width, $lines), $this->rate, $this->coded, $this->looked, $this->adjustable);
    }
}
