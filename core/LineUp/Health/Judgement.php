<?php

declare(strict_types=1);

namespace Rhetorix\Core\LineUp\Health;

/** What is wrong in one sample, whether it lasts or not. */
final readonly class Judgement
{
    public function __construct(private Habit $habit, private Expected $expected)
    {
    }

    /** @return array<string, string> signal => what was measured, for a person */
    public function of(Sample $sample): array
    {
        if ($sample->lost) {
            return [Signal::Lost->value => 'no signal'];
        }

        return array_filter([
            ...$sample->mean === null ? [] : $this->picture($sample),
            Signal::CutOff->value => $sample->matte?->cutOff(),
            Signal::Backing->value => $sample->matte?->unclean(),
            Signal::Silent->value => $sample->peak !== null && $sample->peak < Thresholds::SILENT_DB ? sprintf('peak under %d dBFS', Thresholds::SILENT_DB) : null,
        ], is_string(...));
    }

    /** @return array<string, ?string> */
    private function picture(Sample $sample): array
    {
        $black = $sample->dark >= Thresholds::BLACK_SHARE && $sample->spread <= Thresholds::BLACK_SPREAD;
        if (! $this->expected->moving) {
            return $this->size($sample);
        }
        $dark = ! $black && $sample->mean < Thresholds::DARK_MEAN && $sample->brightestCell() < Thresholds::DARK_BRIGHTEST;
        $frozen = ! $black && $this->isFrozen($sample, $dark);
        $different = $this->differentFrames($sample);
        $slow = ! $frozen && ! $black && $different !== null && $this->expected->rate !== null && $different < Thresholds::SLOW_SHARE * $this->expected->rate;
        $shift = $black ? 0.0 : $this->habit->colourShift($sample);

        return [
            Signal::Black->value => $black ? sprintf('%d %% of it is black', floor(100 * $sample->dark)) : null,
            Signal::Frozen->value => $frozen ? 'the same frame again and again' : null,
            Signal::Slow->value => $slow ? sprintf('%.0f of %.0f frames a second', $different, $this->expected->rate) : null,
            Signal::Dark->value => $dark ? sprintf('mean brightness %d %%', round($sample->mean / 2.55)) : null,
            Signal::Clipped->value => $sample->clipped >= Thresholds::CLIPPED_SHARE ? sprintf('%d %% of it is white without detail', round(100 * $sample->clipped)) : null,
            Signal::ColourShift->value => $shift >= Thresholds::COLOUR_SHIFT ? sprintf('%.0f levels away from its usual colours', $shift) : null,
            ...$this->size($sample),
        ];
    }

    /** A camera that looks at a still thing goes on having its own noise; a frozen one has lost it. */
    private function isFrozen(Sample $sample, bool $dark): bool
    {
        $noise = $sample->noiseLevel();
        if ($noise === null || ! $this->expected->noisy || $sample->mostMoved() > Thresholds::FROZEN_MOVED) {
            return false;
        }

        return $sample->mostNoise() <= Thresholds::SAME_FRAME
            ? $sample->mostMoved() === 0.0
            : ! $dark && $this->hasNoise() && $sample->mostNoise() < Thresholds::FROZEN_NOISE * $this->habit->noise;
    }

    /** Frames a second that are not the one before again. */
    private function differentFrames(Sample $sample): ?float
    {
        if ($sample->fps === null || $sample->noise === []) {
            return $sample->fps;
        }
        if (! $this->expected->noisy || ! $this->hasNoise()) {
            return $sample->fps; // a drawn picture may stand still for a moment
        }
        $again = 0;
        foreach ($sample->noise as $i => $noise) {
            $again += $noise < Thresholds::FROZEN_NOISE * $this->habit->noise && ($sample->moved[$i] ?? 0.0) <= Thresholds::FROZEN_MOVED ? 1 : 0;
        }

        return $sample->fps * (1 - $again / count($sample->noise));
    }

    private function hasNoise(): bool
    {
        return $this->habit->noise !== null && $this->habit->noise >= Thresholds::LEAST_NOISE;
    }

    /** @return array<string, ?string> */
    private function size(Sample $sample): array
    {
        $wrong = $this->expected->width !== null && $this->expected->height !== null
            && [$sample->width, $sample->height] !== [$this->expected->width, $this->expected->height];

        return [Signal::WrongSize->value => $wrong ? "{$sample->width}×{$sample->height} instead of {$this->expected->width}×{$this->expected->height}" : null];
    }
}
