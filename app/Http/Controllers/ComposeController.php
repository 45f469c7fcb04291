<?php

namespace App\Http\Controllers;

use App\Media\HoleReader;
use App\Media\LumaReader;
use App\Models\Show;
use App\Models\SourceRow;
use App\Shows\Composing;
use App\Shows\ShowState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Rhetorix\Core\Geometry\SafeArea;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Art\Hole;
use Rhetorix\Core\Layout\Art\HoleFinder;
use Rhetorix\Core\Layout\Aspect;
use Rhetorix\Core\Layout\Cover\LeastHarm;
use Rhetorix\Core\Layout\Free\Arrange;
use Rhetorix\Core\Layout\Free\FreeLayout;
use Rhetorix\Core\Layout\Free\Place;
use Rhetorix\Core\Layout\Purpose;
use Rhetorix\Core\Layout\Shape;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Reading\Busyness;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;

/** A picture composed by hand: what its editor asks the core. Nothing is kept here. */
class ComposeController extends Controller
{
    public function page(Request $request, Show $show, ShowState $state, ?string $picture = null): View
    {
        $row = $picture === null ? null : $show->pictures()->with('fills')->findOrFail($picture);
        $size = $show->canvas()->size;

        return view('compose', [
            'show' => $show,
            'here' => 'pictures',
            'state' => $state->of($show),
            'mayOperate' => $this->person($request)->can('operate', $show),
            'picture' => $row,
            'start' => [
                'picture' => $row->id ?? '',
                'name' => $row->name ?? '',
                'group' => ($row->picture_group ?? Group::Together)->value,
                'layout' => ($row === null ? new FreeLayout($size, []) : FreeLayout::of($row->toPicture()->layout, $size))->toArray(),
                'fills' => (object) ($row === null ? [] : $row->toPicture()->fills),
            ],
            'own' => $row?->own_source_id !== null,
            'sources' => $show->sources()->get()->filter(fn (SourceRow $source): bool => $source->toSource()->hasPicture()),
            'words' => [
                'purposes' => array_column(array_map(fn (Purpose $purpose): array => ['value' => $purpose->value, 'label' => $purpose->label()], Purpose::cases()), 'label', 'value'),
                'shapes' => Shape::cases(),
                'aspects' => Aspect::cases(),
                'arrange' => Arrange::cases(),
                'groups' => Group::cases(),
            ],
            'safe' => array_map(fn (SafeArea $area): array => $area->in($size)->toArray(), array_column(SafeArea::cases(), null, 'value')),
            'limits' => ['least' => Place::LEAST_SIDE, 'most' => FreeLayout::MOST_WINDOWS],
        ]);
    }

    /** {layout, fills, do?}: how it will look, where windows come to rest, and what is hidden. */
    public function compose(Request $request, Show $show): JsonResponse
    {
        $fields = Fields::of($request->json()->all());
        $composing = Composing::read($show, $fields);

        return response()->json(($fields->has('do') ? $composing->after($fields->object('do')) : $composing)->toArray());
    }

    /** What of the material lies under each window, and which corner would hide less. */
    public function harm(Request $request, Show $show, LumaReader $reader): JsonResponse
    {
        $composing = Composing::read($show, Fields::of(json_decode((string) $request->post('picture'), true), 'picture'));
        $coverage = $composing->coverage() ?? throw BadInput::missing('a window for material');
        $busy = Busyness::in($reader->read($request->file('image')));
        $size = $show->canvas()->size;
        $windows = [];
        foreach ($composing->picture->layout->windows($size) as $window) {
            if (isset($coverage->covers[$window->slot])) {
                $windows[$window->slot] = [
                    'harm' => LeastHarm::harm($busy, $coverage, $window->outline()),
                    'better' => LeastHarm::better($window, $coverage, $busy, $size)?->toArray(),
                ];
            }
        }

        return response()->json(['windows' => (object) $windows, 'cells' => $busy->busyCells(), 'shown' => $coverage->shown->toArray()]);
    }

    /** The places of frame art, where they lie on the canvas. */
    public function holes(Request $request, Show $show, HoleReader $reader): JsonResponse
    {
        $fields = Fields::of($request->post());
        $art = $reader->read($request->file('image'), $fields->has('colour') ? $fields->colour('colour') : null);
        $canvas = $show->canvas()->size;

        return response()->json(['holes' => array_map(fn (Hole $hole): array => [
            ...$hole->on($canvas, new Size($art->width, $art->height))->toArray(),
            'shape' => $hole->shape?->value,
            'radius' => $hole->radius,
        ], HoleFinder::in($art))]);
    }
}
