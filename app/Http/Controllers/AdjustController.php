<?php

namespace App\Http\Controllers;

use App\Media\LumaReader;
use App\Models\Show;
use App\Models\SourceRow;
use App\Shows\ShowBook;
use App\Shows\ShowState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Rhetorix\Core\Colour\Matched;
use Rhetorix\Core\Colour\Matching;
use Rhetorix\Core\Colour\Patch;
use Rhetorix\Core\Key\BackingSample;
use Rhetorix\Core\Key\FlatColour;
use Rhetorix\Core\Reading\FarEnd;
use Rhetorix\Core\Reading\Legibility;
use Rhetorix\Core\Reading\Writing;
use Rhetorix\Core\Reading\WritingFinder;
use Rhetorix\Core\Rig\Live\Handling;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;
use Rhetorix\Core\Switching\Command\Handle;
use Rhetorix\Core\Time\Instant;

/** One source made to look right: what the page asks the core before anything is pressed. */
class AdjustController extends Controller
{
    /** Patches that are compared at once. */
    private const MOST_PAIRS = 8;

    private const MOST_CELLS = 4096;

    public function __construct(private readonly ShowBook $books, private readonly ShowState $state)
    {
    }

    public function page(Request $request, Show $show, string $source): View
    {
        $sources = $show->sources()->get();
        $row = $sources->find($source) ?? abort(404);
        abort_unless($row->toSource()->hasPicture(), 404);

        return view('adjust', [
            'show' => $show,
            'here' => 'rig',
            'state' => $this->state->of($show),
            'mayOperate' => $this->person($request)->can('operate', $show),
            'source' => $row,
            'others' => $sources->filter(fn (SourceRow $other): bool => $other->id !== $row->id && $other->toSource()->hasPicture()),
            'tried' => $this->tried($show, $row->id, $this->handling($show, $row->id)),
        ]);
    }

    /** How it would look; nothing is kept. */
    public function attempt(Request $request, Show $show, string $source): JsonResponse
    {
        $before = $this->handling($show, $source);
        $wish = $request->json()->all();
        $after = $wish === [] ? $before : Handle::fromFields('try', Fields::of([...$wish, 'source' => $source]))->applied($before, new Instant(0));

        return response()->json($this->tried($show, $source, $after));
    }

    /** The correction that brings patches of this source to those of another, or makes one grey. */
    public function match(Request $request, Show $show): JsonResponse
    {
        $fields = Fields::of($request->json()->all());
        if ($fields->has('grey')) {
            $patch = Patch::fromFields($fields, 'grey');
            $patch->mustShow('this picture');

            return response()->json(['matched' => Matching::grey($patch)->toArray()]);
        }
        $pairs = [];
        foreach (array_slice(array_values((array) ($fields->all()['pairs'] ?? [])), 0, self::MOST_PAIRS) as $i => $pair) {
            $pair = Fields::of($pair, "pairs.{$i}");
            [$from, $to] = [Patch::fromFields($pair, 'from'), Patch::fromFields($pair, 'to')];
            $from->mustShow('this picture');
            $to->mustShow('the other picture');
            $pairs[] = [$from, $to];
        }
        if ($pairs === []) {
            throw BadInput::missing('pairs');
        }
        $matched = Matching::of($pairs);

        return response()->json([
            'matched' => $matched->toArray(),
            'before' => round(Matching::difference($pairs, Matched::nothing()), 1),
            'after' => round(Matching::difference($pairs, $matched), 1),
        ]);
    }

    /** How small the writing of a picture is where it is looked at. */
    public function reading(Request $request, Show $show, LumaReader $reader): JsonResponse
    {
        $farEnd = Fields::of($request->post())->oneOf('far_end', FarEnd::class);
        $image = $reader->read($request->file('image'));
        $writing = WritingFinder::in($image);
        $legibility = Legibility::of($writing, $image->width, $image->height, $farEnd);

        return response()->json([
            ...$legibility->toArray(),
            'width' => $image->width,
            'height' => $image->height,
            'writing' => array_map(fn (Writing $line): array => $line->toArray(), $writing),
        ]);
    }

    /** The backing's colour: where somebody points, again in the whole picture, or a flat one for the far end. */
    public function backing(Request $request, Show $show, string $source): JsonResponse
    {
        $fields = Fields::of($request->json()->all());

        return response()->json(match (true) {
            $fields->has('patch') => ['colour' => sprintf('#%02x%02x%02x', ...BackingSample::ofPatch($this->cells($fields, 'patch')))],
            $fields->has('again') => ['colour' => BackingSample::again(
                $this->handling($show, $source)->key ?? throw new Refusal('Nothing is keyed here yet. Point at the backing first.'),
                $this->cells($fields, 'again'),
            )->hex()],
            default => ['colour' => FlatColour::furthestFrom($this->cells($fields, 'flat'))],
        });
    }

    /** @return array<string, mixed> */
    private function tried(Show $show, string $source, Handling $handling): array
    {
        $desk = $show->desk;

        return $this->books->at($show, $desk->book_revision)->handled($desk->toDesk()->handlings)->tried($source, $handling);
    }

    private function handling(Show $show, string $source): Handling
    {
        abort_unless($show->sources()->whereKey($source)->exists(), 404);

        return $show->desk->toDesk()->handlings->of($source);
    }

    /** @return non-empty-list<array{int, int, int}> */
    private function cells(Fields $fields, string $name): array
    {
        $levels = array_values((array) ($fields->all()[$name] ?? []));
        $cells = [];
        foreach (array_chunk(array_slice($levels, 0, 3 * self::MOST_CELLS), 3) as $cell) {
            [$red, $green, $blue] = [$cell[0], $cell[1] ?? null, $cell[2] ?? null];
            if (! is_int($red) || ! is_int($green) || ! is_int($blue) || min($cell) < 0 || max($cell) > 255) {
                throw BadInput::wrongKind($name, 'a list of levels from 0 to 255, three for each place');
            }
            $cells[] = [$red, $green, $blue];
        }

        return $cells === [] ? throw BadInput::missing($name) : $cells;
    }
}
