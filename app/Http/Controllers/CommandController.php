<?php

namespace App\Http\Controllers;

use App\Models\Show;
use App\Shows\CommandPipeline;
use App\Shows\Edits\StepQuality;
use App\Shows\ShowState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Rhetorix\Core\Support\Refusal;

/** What is asked of a show, and how it stands; for our own pages and for other programs. */
class CommandController extends Controller
{
    public function store(Request $request, Show $show, CommandPipeline $pipeline): JsonResponse
    {
        if ($request->json('type') === StepQuality::TYPE) {
            throw new Refusal('Only the show itself says this.');
        }

        $this->authorize('command', [$show, is_string($type = $request->json('type')) ? $type : '']);

        return response()->json($pipeline->run($show, $this->person($request), $request->json()->all()));
    }

    public function state(Show $show, ShowState $state): JsonResponse
    {
        return response()->json($state->of($show));
    }
}
