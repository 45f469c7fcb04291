<?php

declare(strict_types=1);

namespace Rhetorix\Core\Colour;

use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** A piece of a picture, read pixel by pixel. */
final readonly class Patch
{
    public const MOST_PIXELS = 1024;

    /** Beyond these levels a camera has lost what was there. */
    private const CLIPPED = [2, 252];

    /** @param  list<array{int, int, int}>  $pixels  levels of red, green and blue, 0 to 255 */
    public function __construct(private array $pixels)
    {
    }

    /**
     * @param  string  $field  a list of levels: red, green, blue, red, …
     *
     * @throws BadInput
     */
    public static function fromFields(Fields $fields, string $field): self
    {
        $levels = array_values((array) ($fields->all()[$field] ?? []));
        if ($levels === [] || count($levels) % 3 !== 0 || count($levels) > 3 * self::MOST_PIXELS) {
            throw BadInput::wrongKind($field, 'a list of 3 to '.(3 * self::MOST_PIXELS).' levels, three for each pixel');
        }
        foreach ($levels as $level) {
            if (! is_int($level) || $level < 0 || $level > 255) {
                throw BadInput::outOfRange($field, 'levels between 0 and 255');
            }
        }
        $pixels = [];
        for ($i = 0; $i < count($levels); $i += 3) {
            $pixels[] = [$levels[$i], $levels[$i + 1], $levels[$i + 2]];
        }

        return new self($pixels);
    }

    /** @throws Refusal when most of it is too bright or too dark to say anything */
    public function mustShow(string $whose): void
    {
        $lost = count(array_filter($this->pixels, fn (array $pixel): bool => max($pixel) > self::CLIPPED[1] || max($pixel) < self::CLIPPED[0]));
        if ($lost > count($this->pixels) / 2) {
            throw new Refusal("The patch on {$whose} is too bright or too dark to tell its colour. Take another one, or change the exposure.");
        }
    }

    /**
     * What is so bright, counted from the darkest, in each channel: the same
     * thing seen by two cameras has the same parts, wherever they lie.
     *
     * @param  float  $share  0 (darkest) to 1 (brightest)
     * @return float light, 0 to 1
     */
    public function lightAt(int $channel, float $share): float
    {
        $levels = array_column($this->pixels, $channel);
        sort($levels);
        $place = $share * (count($levels) - 1);
        $below = (int) floor($place);
        $above = min(count($levels) - 1, $below + 1);
        $light = fn (int $i): float => Transfer::toLight($levels[$i] / 255);

        return $light($below) + ($place - $below) * ($light($above) - $light($below));
    }

    /** @return array{float, float, float} mean light of red, green and blue */
    public function meanLight(): array
    {
        $mean = fn (int $channel): float => array_sum(array_map(fn (int $level): float => Transfer::toLight($level / 255), array_column($this->pixels, $channel))) / count($this->pixels);

        return [$mean(0), $mean(1), $mean(2)];
    }
}
