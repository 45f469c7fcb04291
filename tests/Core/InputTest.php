<?php

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Rig\DeviceProblem;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Switching\Command\ChooseTransition;
use Rhetorix\Core\Switching\Command\CommandReader;
use Rhetorix\Core\Switching\Command\Press;
use Rhetorix\Core\Switching\Command\SetStrip;
use Rhetorix\Core\Time\FrameRate;

function readCommand(mixed $data): object
{
    return (new CommandReader(new FrameRate(30), new Size(1280, 720)))->read($data);
}

it('reads every kind of live command', function (): void {
    expect(readCommand(['id' => '1', 'type' => 'arm', 'picture' => 'A']))->toBeInstanceOf(Press::class)
        ->and(readCommand(['id' => '1', 'type' => 'take', 'picture' => 'A', 'transition' => ['kind' => 'mix', 'frames' => 25]])->transition->duration->count)->toBe(833)
        ->and(readCommand(['id' => '1', 'type' => 'take', 'picture' => 'A'])->transition)->toBeNull()
        ->and(readCommand(['id' => '1', 'type' => 'cover']))->toBeInstanceOf(Press::class)
        ->and(readCommand(['id' => '1', 'type' => 'choose', 'transition' => ['kind' => 'mix', 'duration_ms' => 500]]))->toBeInstanceOf(ChooseTransition::class)
        ->and(readCommand(['id' => '1', 'type' => 'sound', 'source' => 's', 'level' => -6, 'muted' => false]))->toBeInstanceOf(SetStrip::class);
});

it('names what is wrong with a command', function (mixed $data, string $word): void {
    expect(fn () => readCommand($data))->toThrow(BadInput::class, $word);
})->with([
    'not an object' => ['cut', 'an object'],
    'nothing' => [null, 'an object'],
    'no id' => [['type' => 'cut', 'picture' => 'A'], '“id”'],
    'id of another kind' => [['id' => 7, 'type' => 'cut', 'picture' => 'A'], '“id”'],
    'id too long' => [['id' => str_repeat('x', 65), 'type' => 'cover'], 'at most 64'],
    'unknown type' => [['id' => '1', 'type' => 'explode'], 'arm, cut'],
    'no picture' => [['id' => '1', 'type' => 'cut'], '“picture”'],
    'picture of another kind' => [['id' => '1', 'type' => 'cut', 'picture' => ['A']], '“picture”'],
    'transition of another kind' => [['id' => '1', 'type' => 'take', 'picture' => 'A', 'transition' => 'mix'], '“transition”'],
    'level out of range' => [['id' => '1', 'type' => 'sound', 'source' => 's', 'level' => 40], 'between -60 and 12'],
    'level of another kind' => [['id' => '1', 'type' => 'sound', 'source' => 's', 'level' => 'loud'], '“level”'],
    'muted of another kind' => [['id' => '1', 'type' => 'sound', 'source' => 's', 'muted' => 1], '“muted”'],
]);

it('has a sentence that says what to do for every problem of a device', function (DeviceProblem $problem): void {
    expect($problem->sentence())->toMatch('/(Click|Plug|Close|Choose|Press|Open|Unplug|Look|Bring)/')->and(strlen($problem->sentence()))->toBeLessThan(220);
})->with(DeviceProblem::cases());

it('tells the errors of W3C Media Capture apart', function (): void {
    expect(DeviceProblem::byErrorName())->toMatchArray(['NotAllowedError' => 'denied', 'NotFoundError' => 'no-device', 'NotReadableError' => 'in-use', 'OverconstrainedError' => 'wrong-size']);
});
