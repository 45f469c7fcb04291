<?php

namespace App\Http\Controllers;

use App\Models\AsRunEntry;
use App\Models\Show;
use App\Shows\AsRunSentence;
use App\Shows\ShowBook;
use App\Shows\ShowMaker;
use App\Shows\ShowState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\KeyPlaces;

/** The screens of a show. */
class ShowController extends Controller
{
    public function __construct(private readonly ShowState $state)
    {
    }

    public function index(Request $request): View|RedirectResponse
    {
        $shows = $this->person($request)->shows()->get();

        return $shows->count() === 1 ? redirect("/shows/{$shows->firstOrFail()->id}") : view('shows', ['shows' => $shows]);
    }

    public function store(Request $request, ShowMaker $maker): RedirectResponse
    {
        $asked = $request->validate(['name' => ['required', 'string', 'max:80']], ['name.*' => 'Give the show a name of at most 80 letters.']);

        return redirect("/shows/{$maker->make($asked['name'], $this->person($request))->id}");
    }

    public function desk(Request $request, Show $show): View
    {
        $pictures = $show->pictures()->get();

        return $this->page($request, 'desk', $show, [
            'rows' => array_map(fn (Group $group): array => [
                'group' => $group,
                'keys' => KeyPlaces::row($group),
            ], Group::cases()),
            'byKey' => $pictures->whereNotNull('key')->keyBy('key'),
            'withoutKey' => $pictures->whereNull('key'),
        ]);
    }

    public function rig(Request $request, Show $show): View
    {
        return $this->page($request, 'rig', $show, ['sources' => $show->sources()->get()]);
    }

    public function pictures(Request $request, Show $show): View
    {
        return $this->page($request, 'pictures', $show, [
            'pictures' => $show->pictures()->with('fills')->get()->groupBy(fn ($picture) => $picture->picture_group->value),
            'sources' => $show->sources()->get()->filter(fn ($source) => $source->kind->hasPicture()),
        ]);
    }

    public function asRun(Request $request, Show $show, AsRunSentence $sentence): View
    {
        $page = AsRunEntry::query()->with('user')->where('show_id', $show->id)->orderByDesc('revision')->simplePaginate(60);
        $sentence->prepare($show);

        return $this->page($request, 'as-run', $show, ['entries' => $page, 'sentence' => $sentence]);
    }

    public function program(Show $show, ShowBook $books): View
    {
        return view('program-window', ['show' => $show, 'holding' => $books->of($show)->planOf('holding')->toArray()]);
    }

    /** @param  array<string, mixed>  $data */
    private function page(Request $request, string $name, Show $show, array $data): View
    {
        return view($name, [
            ...$data,
            'show' => $show,
            'here' => $name,
            'state' => $this->state->of($show),
            'mayOperate' => $this->person($request)->can('operate', $show),
        ]);
    }
}
