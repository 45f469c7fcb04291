<?php

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Corner;
use Rhetorix\Core\Layout\InsetLayout;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\PlanBook;
use Rhetorix\Core\Rig\Hearing;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Sound\Decibels;
use Rhetorix\Core\Sound\MainMix;
use Rhetorix\Core\Sound\MeterScale;
use Rhetorix\Core\Switching\Command\SetStrip;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Switching\Tally;

function tallyOf(Desk $desk, PlanBook $book): array
{
    return json_decode((string) json_encode(Tally::of($desk, $book, at(5000))->toArray()), true);
}

function pressed(string ...$presses): Desk
{
    $desk = Desk::empty();
    foreach ($presses as $i => $words) {
        $desk = $desk->apply(press($words, "c{$i}"), at($i))->desk;
    }

    return $desk;
}

it('has both pictures of a transition on air, and both their sources', function (): void {
    expect(tallyOf(pressed('cut A', 'take B 1000'), bookOf()))->toBe([
        'pictures' => ['B' => 'program', 'A' => 'program'],
        'sources' => ['camB' => 'program', 'camA' => 'program'],
    ]);
});

it('shows what is next, and program where both are true', function (): void {
    $inset = picture('I', ['large' => 'camA', 'inset' => 'camC'], new InsetLayout(Corner::TopLeft));
    expect(tallyOf(pressed('cut A', 'arm I'), bookOf(more: [$inset])))->toBe([
        'pictures' => ['I' => 'preview', 'A' => 'program'],
        'sources' => ['camA' => 'program', 'camC' => 'preview'],
    ]);
});

it('has only the holding card on air while program is covered', function (): void {
    expect(tallyOf(pressed('cut A', 'arm B', 'cover'), bookOf()))->toBe([
        'pictures' => ['B' => 'preview', 'holding' => 'program'],
        'sources' => ['camB' => 'preview'],
    ]);
});

it('turns decibels into gain and back', function (float $db, float $gain): void {
    expect((new Decibels($db))->toGain())->toEqualWithDelta($gain, 1e-4)->and(Decibels::fromGain($gain)->value)->toEqualWithDelta($db, 1e-3);
})->with([[0.0, 1.0], [6.0206, 2.0], [-6.0206, 0.5], [20.0, 10.0], [-20.0, 0.1], [-18.0, 0.12589]]);

it('closes a strip at the bottom of its travel', function (): void {
    expect((new Decibels(-60))->toStripGain())->toBe(0.0)->and((new Decibels(-59))->toStripGain())->toBeGreaterThan(0.0)
        ->and(Decibels::fromGain(0)->value)->toBe(-INF);
});

it('has alignment at -18 dBFS on its meter (EBU R 68)', function (): void {
    expect(MeterScale::ALIGNMENT)->toBe(-18.0)->and(MeterScale::place(new Decibels(-18)))->toEqualWithDelta(0.7, 1e-9)
        ->and(MeterScale::place(new Decibels(0)))->toBe(1.0)->and(MeterScale::place(new Decibels(-INF)))->toBe(0.0);
});

/** Lectern follows the picture, a microphone is always heard, a clip never. */
function soundBook(): PlanBook
{
    return PlanBook::of(Canvas::usual(), 'x', [
        camera('camA'), camera('camB'), camera('camC', new Size(640, 480), Hearing::Never),
        new Source('mic', 'Mic', SourceKind::Microphone, Group::People, Hearing::Always),
    ], [picture('A', ['large' => 'camA']), picture('B', ['large' => 'camB']), picture('C', ['large' => 'camC']),
        picture('I', ['large' => 'camA', 'inset' => 'camB'], new InsetLayout(Corner::TopLeft))]);
}

it('hears a source with its picture, a microphone always, and others never', function (string $picture, array $heard): void {
    expect(array_keys(array_filter(MainMix::at(pressed("cut {$picture}"), soundBook(), at(9)))))->toBe($heard);
})->with([['A', ['camA', 'mic']], ['B', ['camB', 'mic']], ['C', ['mic']], ['I', ['camA', 'camB', 'mic']]]);

it('crosses the sounds of a mix, and keeps one that is in both', function (): void {
    $gains = MainMix::at(pressed('cut A', 'take B 1000'), soundBook(), at(501));
    expect($gains['camA'])->toEqualWithDelta(0.5, 0.01)->and($gains['camB'])->toEqualWithDelta(0.5, 0.01)->and($gains['mic'])->toBe(1.0);

    $kept = MainMix::at(pressed('cut A', 'take I 1000'), soundBook(), at(301));
    expect($kept['camA'])->toEqualWithDelta(1.0, 1e-5);
});

it('closes all sound when covered, and a muted strip always', function (): void {
    expect(array_sum(MainMix::at(pressed('cut A', 'cover'), soundBook(), at(9))))->toBe(0.0);

    $muted = pressed('cut A')->apply(new SetStrip('m', 'mic', null, true), at(5))->desk;
    expect(MainMix::at($muted, soundBook(), at(9))['mic'])->toBe(0.0);
    $low = $muted->apply(new SetStrip('n', 'mic', new Decibels(-20), false), at(6))->desk;
    expect(MainMix::at($low, soundBook(), at(9))['mic'])->toEqualWithDelta(0.1, 1e-9);
});
