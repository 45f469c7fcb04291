<?php

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Rhetorix\Core\Control\Controls;
use Rhetorix\Core\Support\Fields;

/** What a person has put on which key, note or button. */
class ControlsController extends Controller
{
    public function update(Request $request): JsonResponse
    {
        $controls = Controls::fromFields(Fields::of($request->json()->all()));
        $person = $this->person($request);
        $person->controls = $controls->toArray();
        $person->save();

        return response()->json($controls->page());
    }
}
