<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

use Rhetorix\Core\Colour\Correction;
use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Key\Backdrop;
use Rhetorix\Core\Key\ChromaKey;
use Rhetorix\Core\Rig\Live\Framing;
use Rhetorix\Core\Rig\Live\Handling;
use Rhetorix\Core\Rig\Live\Playback;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;
use Rhetorix\Core\Time\Instant;
use Rhetorix\Core\Time\Milliseconds;

/**
 * A source is handled while it is in use: frozen, blanked, turned, cropped,
 * magnified, played, its colours put right, its backing taken out. It says how things shall be, not what to change, so that
 * saying it twice does no harm; parts that are not given stay as they are.
 */
final readonly class Handle implements Command
{
    public const NAME = 'handle';

    private const PARTS = ['frozen', 'blank', 'framing', 'playback', 'colour', 'key', 'behind'];

    /** @param  Fields  $wish  {frozen?, blank?, framing?, playback?: {playing, position}, colour?: {} | false, key?: {} | false, behind?} */
    private function __construct(private string $id, public string $source, private Fields $wish)
    {
    }

    /** @throws BadInput when nothing is said, or a value is out of range */
    public static function fromFields(string $id, Fields $fields): self
    {
        $command = new self($id, $fields->string('source', 64), $fields);
        if (array_filter(self::PARTS, $fields->has(...)) === []) {
            throw BadInput::missing('frozen, blank, framing, playback, colour, key or behind');
        }
        // Looks at every value once; whether something is keyed already is known on the desk.
        $command->applied(new Handling(Framing::none(), key: new ChromaKey([0, 255, 0])), new Instant(0));

        return $command;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function reshapes(): bool
    {
        return array_filter(['framing', 'colour', 'key', 'behind'], $this->wish->has(...)) !== [];
    }

    /** @throws Refusal when it cannot be done to the source as it is */
    public function applied(Handling $before, Instant $at): Handling
    {
        $framing = $this->wish->has('framing') ? $before->framing->with($this->wish->object('framing')) : $before->framing;

        return new Handling(
            $framing,
            $this->wish->has('frozen') ? $this->wish->boolean('frozen') : $before->frozen,
            $this->wish->has('blank') ? $this->wish->boolean('blank') : $before->blank,
            $this->wish->has('playback') ? $this->playback($this->wish->object('playback'), $at) : $before->playback,
            $this->colour($before->colour),
            $this->key($before->key, $framing),
            $this->behind($before->backdrop),
        );
    }

    /** What changed, in words for the as-run list: "frozen, magnified 2×". */
    public static function said(Handling $before, Handling $after): string
    {
        $words = [];
        if ($before->frozen !== $after->frozen) {
            $words[] = $after->frozen ? 'frozen' : 'moves again';
        }
        if ($before->blank !== $after->blank) {
            $words[] = $after->blank ? 'blanked' : 'shown again';
        }
        if ($before->playback != $after->playback && $after->playback !== null) {
            $words[] = ($after->playback->playing ? 'plays from ' : 'stopped at ').Milliseconds::of($after->playback->position)->inSeconds();
        }

        return implode(', ', [...$words, ...self::framingSaid($before->framing, $after->framing), ...self::lookSaid($before, $after)]);
    }

    /** @return list<string> */
    private static function framingSaid(Framing $before, Framing $after): array
    {
        return array_keys(array_filter([
            'turned to '.($after->orientation->quarterTurns() * 90).'°'.($after->orientation->isMirrored() ? ', mirrored' : '') => $before->orientation !== $after->orientation,
            sprintf('magnified %s×', $after->magnify->factor) => $before->magnify != $after->magnify,
            'cropped' => $before->crop != $after->crop,
            match ($after->fit) {
                Fit::Contain => 'fitted into its windows',
                Fit::Cover => 'fills its windows',
                Fit::Stretch => 'stretched to its windows',
                null => 'fitted as suits each window',
            } => $before->fit !== $after->fit,
        ]));
    }

    /** @return list<string> */
    private static function lookSaid(Handling $before, Handling $after): array
    {
        return array_keys(array_filter([
            $after->colour->isNone() ? 'colours as they come' : 'colours put right' => $before->colour != $after->colour,
            match (true) {
                $after->key === null => 'backing not keyed any more',
                $before->key === null => "backing {$after->key->hex()} keyed",
                default => "key set, backing {$after->key->hex()}",
            } => $before->key != $after->key,
            match (true) {
                $after->behind()->isNothing() => 'nothing behind it',
                $after->behind()->colour !== null => "{$after->behind()->colour} behind it",
                default => 'another source behind it',
            } => $before->behind() != $after->behind(),
        ]));
    }

    private function colour(Correction $before): Correction
    {
        return match (true) {
            ! $this->wish->has('colour') => $before,
            $this->wish->all()['colour'] === false => Correction::none(),
            default => $before->with($this->wish->object('colour')),
        };
    }

    private function key(?ChromaKey $before, Framing $framing): ?ChromaKey
    {
        return match (true) {
            ! $this->wish->has('key') => $before,
            $this->wish->all()['key'] === false => null,
            $before === null && ! $this->wish->object('key')->has('colour') => throw new Refusal('Nothing is keyed here yet. Pick the backing first.'),
            default => ChromaKey::fromFields($this->wish->object('key'), $before, $framing->orientation),
        };
    }

    private function behind(?Backdrop $before): ?Backdrop
    {
        if (! $this->wish->has('behind')) {
            return $before;
        }
        $value = $this->wish->all()['behind'];
        if ($value === $this->source) {
            throw new Refusal('A source cannot stand behind itself. Choose another one.');
        }
        $behind = Backdrop::of(match (true) {
            $value === false => '',
            is_string($value) => $value,
            default => throw BadInput::wrongKind('behind', 'a text'),
        });

        return $behind->isNothing() ? null : $behind;
    }

    private function playback(Fields $fields, Instant $at): Playback
    {
        return Playback::at($fields->boolean('playing'), Milliseconds::of($fields->integer('position', 0, 86_400_000)), $at);
    }
}
