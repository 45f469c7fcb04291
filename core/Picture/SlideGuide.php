<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\RoundedRect;
use Rhetorix\Core\Geometry\SafeArea;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Cover\Coverage;

/** For the author of slides: what of a slide will be hidden in a picture, in the slide's own pixels. */
final readonly class SlideGuide
{
    /**
     * @param  Size  $slide  pixels
     * @param  Rect  $seen  what of the slide is on the canvas at all
     * @param  list<RoundedRect>  $hidden  by windows
     * @param  list<RoundedRect>  $words  where words will be at times
     * @param  Rect  $safe  inside this everything is shown on every screen
     */
    private function __construct(public Size $slide, public Rect $seen, public array $hidden, public array $words, public Rect $safe)
    {
    }

    /**
     * @param  Size  $slide  as the source delivers it
     * @param  Crop  $crop  the part of the slide that is painted at $coverage->shown
     * @param  Size  $canvas  of the show
     */
    public static function of(Coverage $coverage, Size $slide, Crop $crop, Size $canvas): self
    {
        $part = $crop->inPixels($slide);
        $shown = $coverage->shown;
        [$across, $down] = [$part->width / $shown->width, $part->height / $shown->height];
        $onSlide = fn (Rect $rect): Rect => new Rect($part->x + ($rect->x - $shown->x) * $across, $part->y + ($rect->y - $shown->y) * $down, $rect->width * $across, $rect->height * $down);
        $outline = fn (RoundedRect $cover): RoundedRect => new RoundedRect($onSlide($cover->rect), $cover->radius * min($across, $down));
        $safe = SafeArea::Title->in($canvas)->intersection($coverage->open()->rect);

        return new self($slide, $onSlide($coverage->open()->rect), array_map($outline, array_values($coverage->covers)), array_map($outline, array_values($coverage->words)), $onSlide($safe ?? $coverage->open()->rect));
    }
}
