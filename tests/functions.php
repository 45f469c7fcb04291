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

/**
 * A press like "arm A", "cut B", "take C 1000", "cover"; "fade B 300 Mara" is
 * the fader at 300 thousandths in Mara's hand, on a change of a second.
 */
function press(string $words, string $id = ''): Press
{
    [$name, $first, $second, $third] = [...explode(' ', $words), null, null, null];
    $action = Action::from((string) $name);
    $milliseconds = $action === Action::Fade ? 1000 : (int) $second;

    return new Press(
        $id === '' ? 'id of '.$words : $id,
        $action,
        $action->namesPicture() ? $first : null,
        $milliseconds > 0 && $action->namesPicture() ? new Transition(TransitionKind::Mix, Milliseconds::of($milliseconds)) : null,
        match ($action) {
            Action::Fade => ['position' => (int) $second, 'holder' => $third ?? 'Mara'],
            Action::LetGo => ['holder' => $first ?? 'Mara'],
            Action::Inset => ['mode' => $first, 'source' => $second, 'canvas' => 1280],
            Action::InsetSource => ['source' => $first],
            Action::InsetPlace => ['x' => (int) $first, 'y' => (int) $second, 'width' => (int) $third, 'canvas' => 1280, 'dragged' => false],
            default => [],
        },
    );
}

/** Any press of any kind, drawn with mt_rand(). */
function randomPress(): string
{
    $picture = 'ABCD'[mt_rand(0, 3)];
    $hand = ['Mara', 'Juno'][mt_rand(0, 1)];

    return match (mt_rand(0, 15)) {
        0, 1, 2 => "arm {$picture}",
        3 => "cut {$picture}",
        4 => "direct {$picture}",
        5, 6, 7 => "take {$picture} ".mt_rand(40, 2000),
        8, 9 => "fade {$picture} ".[0, 1000, mt_rand(1, 999), mt_rand(1, 999)][mt_rand(0, 3)]." {$hand}",
        10 => "let-go {$hand}",
        11 => 'back',
        12 => 'unarm',
        13 => ['cover', 'uncover'][mt_rand(0, 1)],
        14 => 'inset '.['off', 'over', 'full'][mt_rand(0, 2)]." cam{$picture}",
        default => 'inset.place '.mt_rand(0, 900).' '.mt_rand(0, 500).' '.mt_rand(100, 300),
    };
}

function at(int $ms): Instant
{
    return new Instant($ms);
}
