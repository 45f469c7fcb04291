<?php

declare(strict_types=1);

namespace Rhetorix\Core\Switching\Command;

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Sound\Decibels;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Switching\Inset\Inset;
use Rhetorix\Core\Switching\Rules\Registers;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Time\FrameRate;

/** From the JSON of a live command to the command. */
final readonly class CommandReader
{
    public function __construct(private FrameRate $rate, private Size $canvas)
    {
    }

    /** @return list<string> */
    public static function types(): array
    {
        return [...array_map(fn (Action $action): string => $action->value, Action::cases()), ChooseTransition::NAME, KeepFavourites::NAME, SetStrip::NAME, Handle::NAME, TurnPage::NAME];
    }

    /**
     * @param  mixed  $data  {id, type, ...}
     *
     * @throws BadInput with a sentence that names the field
     */
    public function read(mixed $data): Command
    {
        $fields = Fields::of($data);
        $id = $fields->string('id', 64);
        $type = $fields->string('type', 40);
        $action = Action::tryFrom($type);

        return match (true) {
            $action !== null => new Press(
                $id,
                $action,
                $action->namesPicture() ? $fields->string('picture', 64) : null,
                in_array($action, [Action::Take, Action::Fade], true) && $fields->has('transition')
                    ? Transition::fromFields($fields->object('transition'), $this->rate)
                    : null,
                $this->more($action, $fields),
            ),
            $type === ChooseTransition::NAME => new ChooseTransition($id, Transition::fromFields($fields->object('transition'), $this->rate)),
            $type === KeepFavourites::NAME => KeepFavourites::fromFields($id, $fields, $this->rate),
            $type === SetStrip::NAME => new SetStrip(
                $id,
                $fields->string('source', 64),
                $fields->has('level') ? new Decibels($fields->number('level', Decibels::CLOSED, Decibels::HIGHEST)) : null,
                $fields->has('muted') ? $fields->boolean('muted') : null,
            ),
            $type === Handle::NAME => Handle::fromFields($id, $fields),
            $type === TurnPage::NAME => new TurnPage($id, $fields->string('group', 64), $fields->integer('position', 1, 100_000)),
            default => throw BadInput::notOneOf('type', self::types()),
        };
    }

    /** @return array<string, string|int|bool|null> */
    private function more(Action $action, Fields $fields): array
    {
        return match ($action) {
            Action::Fade => ['position' => $fields->integer('position', 0, Registers::WHOLE), 'holder' => $fields->string('holder', 64)],
            Action::LetGo => ['holder' => $fields->string('holder', 64)],
            Action::Inset => [
                'mode' => in_array($fields->string('mode', 10), ['off', 'over', 'full'], true) ? $fields->string('mode') : throw BadInput::notOneOf('mode', ['off', 'over', 'full']),
                'source' => $fields->optionalString('source', 64),
                'canvas' => (int) $this->canvas->width,
            ],
            Action::InsetSource => ['source' => $fields->string('source', 64)],
            Action::InsetPlace => [...Inset::place($fields, $this->canvas), 'canvas' => (int) $this->canvas->width, 'dragged' => $fields->has('dragged') && $fields->boolean('dragged'), 'ended' => $fields->has('ended') && $fields->boolean('ended')],
            default => [],
        };
    }
}
