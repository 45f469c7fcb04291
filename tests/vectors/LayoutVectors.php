<?php

namespace Tests\vectors;

use Rhetorix\Core\Geometry\Rect;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Corner;
use Rhetorix\Core\Layout\FullLayout;
use Rhetorix\Core\Layout\InsetLayout;
use Rhetorix\Core\Layout\Layout;
use Rhetorix\Core\Layout\Layouts;
use Rhetorix\Core\Layout\Shape;
use Rhetorix\Core\Layout\Snap\Hold;
use Rhetorix\Core\Layout\Snap\Snap;
use Rhetorix\Core\Layout\Snap\Targets;
use Rhetorix\Core\Picture\Canvas;
use Rhetorix\Core\Picture\Composer;
use Rhetorix\Core\Switching\Transition\Glide;

/** Windows on their way and at rest. */
final class LayoutVectors
{
    /** @return list<array<string, mixed>> two pictures, and both on the way */
    public static function glides(): array
    {
        $sources = ['a' => camera('a'), 'b' => camera('b', new Size(640, 480)), 'c' => camera('c', new Size(540, 960))];
        $window = fn (string $slot, array $more): array => ['slot' => $slot, 'x' => 700, 'y' => 300, 'width' => 420, 'height' => 360, 'fit' => 'cover', ...$more];
        $free = fn (array ...$windows): Layout => Layouts::fromData(['layout' => 'free', 'canvas' => ['width' => 1280, 'height' => 720], 'windows' => $windows]);
        $pictures = [
            [['large' => 'a'], new FullLayout],
            [['large' => 'a', 'inset' => 'b'], new InsetLayout(Corner::BottomRight, 0.3, shape: Shape::Circle)],
            [['large' => 'b', 'inset' => 'a'], new InsetLayout(Corner::TopLeft, 0.5)],
            [['one' => 'a', 'two' => 'a', 'three' => 'c'], $free($window('one', ['shape' => 'rounded', 'border' => ['width' => 8, 'colour' => '#ffffff']]), $window('two', ['x' => 20, 'view' => ['zoom' => 3, 'x' => 0.7, 'y' => 0.2]]), $window('three', ['turn' => 1, 'shape' => 'circle', 'x' => 400]))],
            [['three' => 'c', 'two' => 'b'], $free($window('three', ['shadow' => ['size' => 30, 'shade' => 0.4]]), $window('two', ['y' => 10, 'fit' => 'contain']))],
        ];
        $composer = new Composer(Canvas::usual(), $sources);
        $plans = array_map(fn (array $picture) => $composer->compose(picture('p', $picture[0], $picture[1])), $pictures);
        $cases = [];
        foreach ($plans as $i => $outgoing) {
            foreach ($plans as $j => $incoming) {
                $way = round((3 * $i + 5 * $j + 1) / 37, 4);
                [$leaving, $coming] = Glide::at($outgoing, $incoming, $way);
                $cases[] = ['outgoing' => $outgoing->toArray(), 'incoming' => $incoming->toArray(), 'way' => $way, 'at' => [$leaving->toArray(), $coming->toArray()]];
            }
        }

        return $cases;
    }

    /** @return list<array<string, mixed>> a window held and pulled at random among others */
    public static function snaps(): array
    {
        mt_srand(55);
        $rect = fn (): Rect => new Rect(mt_rand(-50, 900), mt_rand(-50, 500), mt_rand(40, 400), mt_rand(40, 300));
        $cases = [];
        for ($i = 0; $i < 12; $i++) {
            $targets = Targets::on(new Size(1280, 720), array_map($rect, range(1, mt_rand(1, 3))));
            $pulls = [];
            for ($j = 0; $j < 12; $j++) {
                $start = $rect();
                $hold = Hold::cases()[mt_rand(0, 8)];
                $ratio = $j % 3 === 0 ? $start->width / $start->height : null;
                [$dx, $dy, $reach] = [mt_rand(-3000, 3000) / 10, mt_rand(-3000, 3000) / 10, [0, 8, 40][mt_rand(0, 2)]];
                $pulls[] = ['start' => $start->toArray(), 'hold' => $hold->value, 'dx' => $dx, 'dy' => $dy, 'ratio' => $ratio, 'reach' => $reach, 'snap' => Snap::of($start, $hold, $dx, $dy, $ratio, $targets, $reach)->toArray()];
            }
            $cases[] = ['targets' => $targets->toArray(), 'pulls' => $pulls];
        }

        return $cases;
    }
}
