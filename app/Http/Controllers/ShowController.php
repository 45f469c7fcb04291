<?php

namespace App\Http\Controllers;

use App\Http\Requests\NewShowRequest;
use App\LineUp\BudgetDesk;
use App\Models\AsRunEntry;
use App\Models\PictureRow;
use App\Models\Show;
use App\Models\SourceRow;
use App\Shows\AsRunSentence;
use App\Shows\Composing;
use App\Shows\ShowBook;
use App\Shows\ShowMaker;
use App\Shows\ShowState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Rhetorix\Core\Layout\Layouts;
use Rhetorix\Core\LineUp\LineUp;
use Rhetorix\Core\Picture\Group;
use Rhetorix\Core\Picture\KeyPlaces;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Switching\Transition\Transition;
use Rhetorix\Core\Time\Instant;
use Rhetorix\Core\Time\Milliseconds;

/** The screens of a show. */
class ShowController extends Controller
{
    /** Nothing can be done to these while they are in use. */
    private const NOT_IN_HAND = [SourceKind::Microphone, SourceKind::Guest, SourceKind::Still, SourceKind::Colour, SourceKind::TestPicture];

    public function __construct(private readonly ShowState $state)
    {
    }

    /** Whoever has one show wants its desk. */
    public function home(Request $request): RedirectResponse
    {
        $shows = $this->person($request)->shows()->get();

        return redirect($shows->count() === 1 ? "/shows/{$shows->firstOrFail()->id}" : '/shows');
    }

    public function index(Request $request): View
    {
        return view('shows', ['shows' => $this->person($request)->shows()->orderBy('name')->get()]);
    }

    public function store(NewShowRequest $request, ShowMaker $maker): RedirectResponse
    {
        return redirect("/shows/{$maker->make($request->string('name'), $this->person($request), $request->shape())->id}");
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
            'inHand' => $show->sources()->get()
                ->reject(fn (SourceRow $row): bool => in_array($row->kind, self::NOT_IN_HAND, true))
                ->sortBy(fn (SourceRow $row): int => in_array($row->kind, [SourceKind::Deck, SourceKind::Clip, SourceKind::Screen], true) ? 0 : 1),
        ]);
    }

    public function rig(Request $request, Show $show, BudgetDesk $budget): View
    {
        return $this->page($request, 'rig', $show, [
            'forecast' => $budget->forecast($show),
            'feeds' => $budget->feeds($show),
            'sources' => $show->sources()->get(),
            'standInCamera' => config('rhetorix.stand_in_camera.port') === null ? null : '127.0.0.1:'.config()->string('rhetorix.stand_in_camera.port'),
        ]);
    }

    public function lineUp(Request $request, Show $show, BudgetDesk $budget): View
    {
        $desk = $show->desk->toDesk();
        $sources = array_values($show->sources()->get()->map(fn (SourceRow $row) => $row->toSource())->all());
        $watch = $show->signalWatch;
        $host = $watch !== null && $watch->isFresh() ? ($watch->host ?? []) : [];
        $number = fn (string $name): ?float => is_numeric($host[$name] ?? null) ? (float) $host[$name] : null;
        $lineUp = new LineUp(
            $sources,
            $watch?->findings() ?? [],
            array_values(array_filter(array_column($sources, 'id'), fn (string $id): bool => $desk->strip($id)->gain() <= 0.0)),
            new Instant((int) now()->getTimestampMs()),
            $budget->forecast($show),
        );

        return $this->page($request, 'line-up', $show, [
            'checks' => $lineUp->checks($number('fps'), (float) $show->frame_rate, $number('late') ?? 0.0, (int) (disk_free_space(storage_path()) / 1_000_000)),
        ]);
    }

    /** A deck in a window of its own, for a second screen or to be captured. */
    public function deck(Request $request, Show $show, string $source): View
    {
        $deck = $show->sources()->where('kind', SourceKind::Deck)->findOrFail($source);

        return view('deck-window', ['show' => $show, 'deck' => $deck, 'state' => $this->state->of($show)]);
    }

    /** Whether one source is on air, for a spare screen; without a source, which one. */
    public function tally(Request $request, Show $show, ?string $source = null): View
    {
        return view('tally', [
            'show' => $show,
            'source' => $source === null ? null : $show->sources()->findOrFail($source),
            'sources' => $show->sources()->get()->filter(fn (SourceRow $row): bool => $row->toSource()->hasPicture()),
            'state' => $this->state->of($show),
        ]);
    }

    public function pictures(Request $request, Show $show): View
    {
        $composing = Composing::reader($show);
        $pictures = $show->pictures()->with('fills')->get();

        return $this->page($request, 'pictures', $show, [
            'hidden' => $pictures->whereNull('own_source_id')->mapWithKeys(fn (PictureRow $row): array => [$row->id => $composing($row->toPicture())->coverage()?->hidden()])->all(),
            'layouts' => Layouts::catalogue($show->canvas()->size),
            'keys' => KeyPlaces::all(),
            'otherShows' => $this->person($request)->shows()->whereNot('shows.id', $show->id)->get(),
            'pictures' => $pictures->groupBy(fn ($picture) => $picture->picture_group->value),
            'sources' => $show->sources()->get()->filter(fn (SourceRow $source): bool => $source->toSource()->hasPicture()),
        ]);
    }

    public function asRun(Request $request, Show $show, AsRunSentence $sentence): View
    {
        $page = AsRunEntry::query()->with('user')->where('show_id', $show->id)->orderByDesc('revision')->simplePaginate(60);
        $sentence->prepare($show);

        return $this->page($request, 'as-run', $show, ['entries' => $page, 'sentence' => $sentence]);
    }

    /** Large labelled buttons for a tablet. */
    public function panel(Request $request, Show $show): View
    {
        return $this->page($request, 'panel', $show, ['pictures' => $show->pictures()->get()->groupBy(fn (PictureRow $row) => $row->picture_group->value)]);
    }

    /** What is on which key, note or button; for the person, whichever show. */
    public function controls(Request $request, Show $show): View
    {
        return $this->page($request, 'controls', $show, []);
    }

    /** The plan of a transition with everything that was chosen about it. */
    public function transition(Request $request, Show $show): JsonResponse
    {
        $key = $request->query('key');
        $transition = Transition::ofKey(is_string($key) ? $key : '', Milliseconds::of(1000));

        return response()->json(['label' => $transition->kind->label(), ...$transition->plan()->toArray()])->header('Cache-Control', 'private, max-age=86400');
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
