<?php

declare(strict_types=1);

namespace StandIns\NetworkCamera;

/**
 * Where the camera looks, and how its motors bring it there. Pan and tilt go
 * from -1 to 1, zoom from 0 (wide) to 1 (close), as in ONVIF's generic spaces.
 */
final class Camera
{
    /** Units a second. */
    private const FASTEST = ['pan' => 0.7, 'tilt' => 0.6, 'zoom' => 0.45];

    private const LIMITS = ['pan' => [-1.0, 1.0], 'tilt' => [-1.0, 1.0], 'zoom' => [0.0, 1.0]];

    /** @var array<string, float> */
    private array $position = ['pan' => 0.0, 'tilt' => 0.1, 'zoom' => 0.0];

    /** @var array<string, float> */
    private array $target = ['pan' => 0.0, 'tilt' => 0.1, 'zoom' => 0.0];

    /** @var array<string, float> units a second while somebody holds the control */
    private array $drive = ['pan' => 0.0, 'tilt' => 0.0, 'zoom' => 0.0];

    private float $speed = 1.0;

    private float $now = 0.0;

    /** @var array<string, array{name: string, position: array<string, float>}> */
    public array $presets = [
        '1' => ['name' => 'bench', 'position' => ['pan' => 0.0, 'tilt' => 0.02, 'zoom' => 0.55]],
        '2' => ['name' => 'wall left', 'position' => ['pan' => -0.98, 'tilt' => 0.52, 'zoom' => 0.5]],
        '3' => ['name' => 'wall right', 'position' => ['pan' => 0.98, 'tilt' => 0.52, 'zoom' => 0.5]],
        '4' => ['name' => 'seats', 'position' => ['pan' => 0.0, 'tilt' => -1.0, 'zoom' => 0.3]],
        '5' => ['name' => 'wide', 'position' => ['pan' => 0.0, 'tilt' => 0.1, 'zoom' => 0.0]],
    ];

    /** @return array<string, float> after the time that has passed, in seconds */
    public function at(float $now): array
    {
        $passed = $this->now > 0.0 ? min(1.0, max(0.0, $now - $this->now)) : 0.0;
        $this->now = $now;
        foreach ($this->position as $axis => $value) {
            if ($this->drive[$axis] !== 0.0) {
                $this->target[$axis] = $this->within($axis, $value + $this->drive[$axis] * self::FASTEST[$axis] * $passed);
                $this->position[$axis] = $this->target[$axis];

                continue;
            }
            $way = $this->target[$axis] - $value;
            // It brakes before it arrives, as motors do.
            $most = min(self::FASTEST[$axis] * $this->speed, max(0.05, 4 * abs($way))) * $passed;
            $this->position[$axis] = abs($way) <= $most ? $this->target[$axis] : $value + ($way <=> 0.0) * $most;
        }

        return $this->position;
    }

    public function isMoving(): bool
    {
        return $this->drive !== ['pan' => 0.0, 'tilt' => 0.0, 'zoom' => 0.0] || $this->position !== $this->target;
    }

    /** @param  array<string, float>  $wanted  axes that are not given stay */
    public function goTo(array $wanted, float $speed = 1.0): void
    {
        $this->stop();
        $this->speed = max(0.05, min(1.0, $speed));
        foreach (array_intersect_key($wanted, $this->target) as $axis => $value) {
            $this->target[$axis] = $this->within($axis, $value);
        }
    }

    /** @param  array<string, float>  $by */
    public function goBy(array $by, float $speed = 1.0): void
    {
        $this->goTo(array_map(fn (string $axis): float => $this->position[$axis] + ($by[$axis] ?? 0.0), array_combine(array_keys($this->position), array_keys($this->position))), $speed);
    }

    /** @param  array<string, float>  $drive  -1 to 1 of the fastest */
    public function drive(array $drive): void
    {
        foreach ($this->drive as $axis => $_) {
            $this->drive[$axis] = max(-1.0, min(1.0, $drive[$axis] ?? 0.0));
        }
    }

    public function stop(): void
    {
        $this->drive = ['pan' => 0.0, 'tilt' => 0.0, 'zoom' => 0.0];
        $this->target = $this->position;
    }

    public function remember(string $name, ?string $token): string
    {
        $token ??= (string) (max(array_map(intval(...), array_keys($this->presets))) + 1);
        $this->presets[$token] = ['name' => $name, 'position' => $this->position];

        return $token;
    }

    private function within(string $axis, float $value): float
    {
        return max(self::LIMITS[$axis][0], min(self::LIMITS[$axis][1], $value));
    }
}
