<?php

// Small words that many tests are written with.

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\FullLayout;
use Rhetorix\Core\Layout\Layout;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\Picture;
use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Rig\Hearing;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Switching\Command\Action;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Switching\Transition\TransitionKind;
use Rhetorix\Core\Time\Instant;
use Rhetorix\Core\Time\Milliseconds;

function camera(string $id, ?Size $size = new Size(1280, 720), Hearing $hearing = Hearing::WithPicture): Source
{
    return new Source($id, ucfirst($id), SourceKind::Camera, Group::People, $hearing, $size);
}

/** @param  array<string, string>  $fills */
function picture(string $id, array $fills, Layout $layout = new FullLayout): Picture
{
    return new Picture($id, ucfirst($id), Group::Together, $layout, $fills);
}

/**
 * A book in which each letter is a full-screen picture of a camera of its own.
 *
 * @param  list<Picture>  $more
 */
function bookOf(string $letters = 'ABCD', array $more = []): PlanBook
{
    $ids = str_split($letters);

    return PlanBook::of(
        Canvas::usual(),
        'Reading Stones',
        array_map(fn (string $id): Source => camera("cam{$id}"), $ids),
        [...array_map(fn (string $id): Picture => picture($id, ['large' => "cam{$id}"]), $ids), ...$more],
    );
}

/** A press like "arm A", "cut B", "take C 1000", "cover". */
function press(string $words, string $id = ''): Press
{
    $parts = explode(' ', $words);

    return new Press(
        $id === '' ? 'id of '.$words : $id,
        Action::from($parts[0]),
        $parts[1] ?? null,
        isset($parts[2]) ? new Transition(TransitionKind::Mix, Milliseconds::of((int) $parts[2])) : null,
    );
}

function at(int $ms): Instant
{
    return new Instant($ms);
}
