<?php

declare(strict_types=1);

namespace Rhetorix\Core\Rig\Live;

use Rhetorix\Core\Colour\Correction;
use Rhetorix\Core\Key\Backdrop;
use Rhetorix\Core\Key\ChromaKey;
use Rhetorix\Core\Support\Fields;

/** What was done to a source by hand while it is in use: it counts wherever the source is shown. */
final readonly class Handling
{
    /**
     * @param  bool  $frozen  the picture stands still, on purpose
     * @param  bool  $blank  a plain card is shown in its place, in every window and every recording
     * @param  ?Playback  $playback  for a clip that was touched
     * @param  ?ChromaKey  $key  takes its backing out
     * @param  ?Backdrop  $backdrop  what is put behind it where it lets through
     */
    public function __construct(
        public Framing $framing,
        public bool $frozen = false,
        public bool $blank = false,
        public ?Playback $playback = null,
        public Correction $colour = new Correction(),
        public ?ChromaKey $key = null,
        public ?Backdrop $backdrop = null,
    ) {
    }

    public static function none(): self
    {
        return new self(Framing::none());
    }

    public function behind(): Backdrop
    {
        return $this->backdrop ?? Backdrop::nothing();
    }

    /**
     * What the painter does to every frame of it; null: nothing.
     *
     * @return ?array{colour: ?array<string, mixed>, key: ?array<string, mixed>}
     */
    public function look(): ?array
    {
        return $this->colour->isNone() && $this->key === null ? null : [
            'colour' => $this->colour->isNone() ? null : $this->colour->plan(),
            'key' => $this->key?->plan(),
        ];
    }

    /** @param  mixed  $data  made by toArray(), or by an older one */
    public static function fromArray(mixed $data): self
    {
        $fields = Fields::of($data, 'handlings');

        return new self(
            Framing::none()->with($fields->object('framing')),
            $fields->boolean('frozen'),
            $fields->boolean('blank'),
            $fields->has('playback') ? Playback::fromFields($fields->object('playback')) : null,
            $fields->has('colour') ? Correction::none()->with($fields->object('colour')) : Correction::none(),
            $fields->has('key') ? ChromaKey::fromFields($fields->object('key')) : null,
            $fields->has('behind') ? Backdrop::of($fields->string('behind')) : null,
        );
    }

    public function isNone(): bool
    {
        return $this == self::none();
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'framing' => $this->framing->toArray(),
            'frozen' => $this->frozen,
            'blank' => $this->blank,
            'playback' => $this->playback?->toArray(),
            'colour' => $this->colour->toArray(),
            'key' => $this->key?->toArray(),
            'behind' => $this->backdrop?->value(),
        ];
    }
}
