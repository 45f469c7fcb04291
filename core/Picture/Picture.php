<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\FullLayout;
use Rhetorix\Core\Layout\Layout;
use Rhetorix\Core\Layout\Purpose;
use Rhetorix\Core\Layout\Window;
use Rhetorix\Core\Switching\Transition\Transition;

/** What can be put on air: a layout filled with sources. A place that is not filled shows what it is for. */
final readonly class Picture
{
    /**
     * @param  array<string, string>  $fills place in the layout => source id
     * @param  ?Transition  $comes  how a take brings it; null: as chosen on the desk
     */
    public function __construct(
        public string $id,
        public string $name,
        public Group $group,
        public Layout $layout,
        public array $fills,
        public ?string $key = null,
        public ?Transition $comes = null,
    ) {
    }

    /**
     * The places that somebody may want to fill otherwise; a source alone has none.
     *
     * @return list<array{slot: string, purpose: string, label: string, source: ?string}> back to front
     */
    public function places(Size $canvas): array
    {
        $places = array_filter($this->layout instanceof FullLayout ? [] : $this->layout->windows($canvas), fn (Window $window): bool => $window->purpose->showsWhileEmpty());

        return array_values(array_map(fn (Window $window): array => [
            'slot' => $window->slot,
            'purpose' => $window->purpose->value,
            'label' => $window->purpose === Purpose::Anything ? ucfirst($window->slot) : $window->purpose->label(),
            'source' => $this->fills[$window->slot] ?? null,
        ], $places));
    }

    public function uses(string $sourceId): bool
    {
        return in_array($sourceId, $this->fills, true);
    }
}
