<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Layout\BadLayout;
use Rhetorix\Core\Layout\Layout;

/** What can be put on air: a layout filled with sources. */
final readonly class Picture
{
    /** @param  array<string, string>  $fills place in the layout => source id */
    public function __construct(
        public string $id,
        public string $name,
        public Group $group,
        public Layout $layout,
        public array $fills,
        public ?string $key = null,
    ) {
    }

    /** @throws BadLayout when a place of the layout has no source */
    public function mustBeFilled(): self
    {
        foreach ($this->layout->slots() as $slot) {
            if (! isset($this->fills[$slot])) {
                throw BadLayout::slotIsEmpty($slot);
            }
        }

        return $this;
    }

    public function uses(string $sourceId): bool
    {
        return in_array($sourceId, $this->fills, true);
    }
}
