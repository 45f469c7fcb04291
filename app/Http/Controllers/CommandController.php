<?php

namespace App\Http\Controllers;

use App\Models\Show;
use App\Shows\CommandPipeline;
use App\Shows\Edits\PictureForm;
use App\Shows\Edits\StepQuality;
use App\Shows\ShowBook;
use App\Shows\ShowState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Rhetorix\Core\Picture\Composer;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** What is asked of a show, and how it stands; for our own pages and for other programs. */
class CommandController extends Controller
{
    public function store(Request $request, Show $show, CommandPipeline $pipeline): JsonResponse
    {
        if ($request->json('type') === StepQuality::TYPE) {
            throw new Refusal('Only the show itself says this.');
        }

        return response()->json($pipeline->run($show, $this->person($request), $request->json()->all()));
    }

    public function state(Show $show, ShowState $state): JsonResponse
    {
        return response()->json($state->of($show));
    }

    /** The plan of a picture that nobody has made yet, for looking at it while it is chosen. */
    public function plan(Request $request, Show $show, PictureForm $form, ShowBook $books): JsonResponse
    {
        $picture = $form->read($show, Fields::of($request->json()->all()), 'draft');

        return response()->json(['plan' => (new Composer($show->canvas(), $books->of($show)->sources(), $show->desk->toDesk()->handlings))->compose($picture)->toArray()]);
    }
}
