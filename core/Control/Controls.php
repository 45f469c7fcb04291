<?php

declare(strict_types=1);

namespace Rhetorix\Core\Control;

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/**
 * What one person has put where: keys, notes and controls of MIDI devices,
 * buttons of a game pad. What is not said stays on its usual key.
 */
final readonly class Controls
{
    /** As `KeyboardEvent.code` of W3C UI Events names places of keys, with Shift before it where it is held. */
    private const KEY = '/^(Shift\+)?[A-Z][A-Za-z0-9]{1,24}$/';

    /** "note 1 60": channel 1 to 16 and note; "control 1 7"; MIDI 1.0 numbers both from 0 to 127. "pad 3": a button of a game pad. */
    private const OTHER = '/^(?:(?:note|control) (?:[1-9]|1[0-6]) (?:\d|[1-9]\d|1[01]\d|12[0-7])|pad (?:\d|[12]\d))$/';

    /**
     * @param  array<string, ?string>  $keys  by action; null: on no key
     * @param  array<string, string>  $others  by action
     */
    private function __construct(public array $keys, public array $others)
    {
    }

    public static function usual(): self
    {
        return new self([], []);
    }

    /**
     * Reads {keys: {action: key or null}, others: {action: "note 1 60"}}.
     *
     * @throws BadInput when an action is not known or a binding is none
     */
    public static function fromFields(Fields $fields): self
    {
        $fields->only(['keys', 'others']);
        $read = function (string $part, string $pattern, string $wanted) use ($fields): array {
            $bindings = [];
            foreach ($fields->has($part) ? $fields->object($part)->all() : [] as $action => $binding) {
                if (! isset(DeskActions::all()[$action])) {
                    throw BadInput::notKnown("{$part}.{$action}", array_keys(DeskActions::all()));
                }
                if ($binding !== null && (! is_string($binding) || preg_match($pattern, $binding) !== 1)) {
                    throw BadInput::wrongKind("{$part}.{$action}", $wanted);
                }
                $bindings[(string) $action] = $binding;
            }

            return $bindings;
        };

        return new self(
            $read('keys', self::KEY, 'a key such as KeyL or Shift+KeyL, or null'),
            array_filter($read('others', self::OTHER, 'a note, a control or a button such as “note 1 60”'), is_string(...)),
        );
    }

    /** @return array<string, ?string> the key of every action */
    public function keys(): array
    {
        return array_map(fn (DeskAction $action): ?string => array_key_exists($action->name, $this->keys) ? $this->keys[$action->name] : $action->key, DeskActions::all());
    }

    /** @return array<string, list<string>> keys and other bindings that several actions have, and which; the first of them wins */
    public function conflicts(): array
    {
        $found = [];
        foreach ([$this->keys(), $this->others] as $bindings) {
            foreach ($bindings as $action => $binding) {
                if ($binding !== null) {
                    $found[$binding][] = $action;
                }
            }
        }

        return array_filter($found, fn (array $actions): bool => count($actions) > 1);
    }

    /** @return array{keys: object, others: object} as stored and read again; JSON objects, also when empty */
    public function toArray(): array
    {
        return ['keys' => (object) $this->keys, 'others' => (object) $this->others];
    }

    /** @return array{actions: list<array<string, mixed>>, keys: array<string, ?string>, others: object, conflicts: object} as a page gets them */
    public function page(): array
    {
        return [
            'actions' => array_values(array_map(fn (DeskAction $action): array => $action->toArray(), DeskActions::all())),
            'keys' => $this->keys(),
            'others' => (object) $this->others,
            'conflicts' => (object) $this->conflicts(),
        ];
    }
}
