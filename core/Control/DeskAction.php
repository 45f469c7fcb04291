<?php

declare(strict_types=1);

namespace Rhetorix\Core\Control;

/** Something that can be done on the desk, by whatever a person has in hand. */
final readonly class DeskAction
{
    /**
     * @param  string  $name  stays the same: bindings are stored by it
     * @param  string  $label  what it does
     * @param  ?string  $key  where it is on the keyboard unless the person says otherwise: "KeyL", "Shift+KeyQ"
     * @param  bool  $travels  it can be moved by something that has two ends, such as a fader of a control surface
     */
    public function __construct(
        public string $name,
        public string $label,
        public string $group,
        public ?string $key = null,
        public bool $travels = false,
    ) {
    }

    /** @return array{name: string, label: string, group: string, key: ?string, travels: bool} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'label' => $this->label, 'group' => $this->group, 'key' => $this->key, 'travels' => $this->travels];
    }
}
