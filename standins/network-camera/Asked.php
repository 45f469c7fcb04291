<?php

declare(strict_types=1);

namespace StandIns\NetworkCamera;

use DOMXPath;

/** What a request of the PTZ service asks for. */
final readonly class Asked
{
    public function __construct(private DOMXPath $envelope)
    {
    }

    public function text(string $element): string
    {
        $found = $this->envelope->evaluate("string(//*[local-name()='{$element}'])");

        return is_string($found) ? trim($found) : '';
    }

    /** @return array<string, float> pan, tilt and zoom, as far as they are given */
    public function vector(string $element): array
    {
        $vector = [];
        foreach (['pan' => 'PanTilt/@x', 'tilt' => 'PanTilt/@y', 'zoom' => 'Zoom/@x'] as $axis => $where) {
            [$child, $attribute] = explode('/', $where);
            $found = $this->envelope->evaluate("string(//*[local-name()='{$element}']/*[local-name()='{$child}']/{$attribute})");
            if (is_numeric($found)) {
                $vector[$axis] = (float) $found;
            }
        }

        return $vector;
    }

    /** 0 to 1; as fast as it goes when nothing is said. */
    public function speed(): float
    {
        $given = $this->vector('Speed');

        return $given === [] ? 1.0 : max($given);
    }
}
