<?php

namespace App\Http\Controllers;

use App\LineUp\BudgetDesk;
use App\Live\HostLease;
use App\Models\Show;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** What the picture host measured of itself. */
class BudgetController extends Controller
{
    public function store(Request $request, Show $show, HostLease $lease, BudgetDesk $budget): JsonResponse
    {
        $fields = Fields::of($request->json()->all());
        if (! $lease->isHeldBy($show, $fields->string('tab', 64))) {
            throw new Refusal('This tab is not the picture host any more.');
        }
        $budget->measured($show, $fields);
        $forecast = $budget->forecast($show);

        return response()->json(['busy' => $forecast?->busy(), 'sentence' => $forecast?->sentence()]);
    }
}
