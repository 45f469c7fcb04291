<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

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
 * magnified, played. It says how things shall be, not what to change, so that
 * saying it twice does no harm; parts that are not given stay as they are.
 */
final readonly class Handle implements Command
{
    public const NAME = 'handle';

    /** @param  Fields  $wish  {frozen?, blank?, framing?, playback?: {playing, position}} */
    private function __construct(private string $id, public string $source, private Fields $wish)
    {
    }

    /** @throws BadInput when nothing is said, or a value is out of range */
    public static function fromFields(string $id, Fields $fields): self
    {
        $command = new self($id, $fields->string('source', 64), $fields);
        if (array_filter(['frozen', 'blank', 'framing', 'playback'], $fields->has(...)) === []) {
            throw BadInput::missing('frozen, blank, framing or playback');
        }
        $command->applied(Handling::none(), new Instant(0)); // looks at every value once

        return $command;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function reshapes(): bool
    {
        return $this->wish->has('framing');
    }

    /** @throws Refusal */
    public function applied(Handling $before, Instant $at): Handling
    {
        return new Handling(
            $this->wish->has('framing') ? $before->framing->with($this->wish->object('framing')) : $before->framing,
            $this->wish->has('frozen') ? $this->wish->boolean('frozen') : $before->frozen,
            $this->wish->has('blank') ? $this->wish->boolean('blank') : $before->blank,
            $this->wish->has('playback') ? $this->playback($this->wish->object('playback'), $at) : $before->playback,
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

        return implode(', ', [...$words, ...self::framingSaid($before->framing, $after->framing)]);
    }

    /** @return list<string> */
    private static function framingSaid(Framing $before, Framing $after): array
    {
        return array_keys(array_filter([
            'turned to '.($after->orientation->quarterTurns() * 90).'°'.($after->orientation->isMirrored() ? ', mirrored' : '') => $before->orientation !== $after->orientation,
            sprintf('magnified %s×', $after->magnify->factor) => $before->magnify != $after->magnify,
            'cropped' => $before->crop != $after->crop,
        ]));
    }

    private function playback(Fields $fields, Instant $at): Playback
    {
        return Playback::at($fields->boolean('playing'), Milliseconds::of($fields->integer('position', 0, 86_400_000)), $at);
    }
}
