<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Live;

use Rhetorix\Core\Support\Fields;

/** What was done to a source by hand while it is in use: it counts wherever the source is shown. */
final readonly class Handling
{
    /**
     * @param  bool  $frozen  the picture stands still, on purpose
     * @param  bool  $blank  a plain card is shown in its place, in every window and every recording
     * @param  ?Playback  $playback  for a clip that was touched
     */
    public function __construct(
        public Framing $framing,
        public bool $frozen = false,
        public bool $blank = false,
        public ?Playback $playback = null,
    ) {
    }

    public static function none(): self
    {
        return new self(Framing::none());
    }

    /** @param  mixed  $data made by toArray() */
    public static function fromArray(mixed $data): self
    {
        $fields = Fields::of($data, 'handlings');

        return new self(
            Framing::none()->with($fields->object('framing')),
            $fields->boolean('frozen'),
            $fields->boolean('blank'),
            $fields->has('playback') ? Playback::fromFields($fields->object('playback')) : null,
        );
    }

    public function isNone(): bool
    {
        return $this == self::none();
    }

    /** @return array{framing: array<string, mixed>, frozen: bool, blank: bool, playback: ?array{playing: bool, position: int, since: int}} */
    public function toArray(): array
    {
        return ['framing' => $this->framing->toArray(), 'frozen' => $this->frozen, 'blank' => $this->blank, 'playback' => $this->playback?->toArray()];
    }
}
