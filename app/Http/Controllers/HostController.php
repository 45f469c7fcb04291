<?php

namespace App\Http\Controllers;

use App\Live\HostLease;
use App\Live\Stills;
use App\Models\Show;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Which tab holds the devices of a show, and the stills that it makes for panels. */
class HostController extends Controller
{
    public function __construct(private readonly HostLease $lease, private readonly Stills $stills)
    {
    }

    public function store(Request $request, Show $show): JsonResponse
    {
        $asked = $request->validate(['tab' => ['required', 'uuid'], 'wish' => ['required', 'in:keep,take,release']]);

        return response()->json($this->lease->ask($show, $this->person($request), $asked['tab'], $asked['wish']));
    }

    public function putStills(Request $request, Show $show): Response
    {
        $asked = $request->validate(['tab' => ['required', 'uuid'], 'map' => ['required', 'json', 'max:20000']]);
        $this->stills->keep($show, $asked['tab'], $asked['map'], $request->file('image'));

        return response()->noContent();
    }

    public function stills(Show $show): BinaryFileResponse|Response
    {
        $this->lease->wantStills($show);

        return $this->stills->answer($show) ?? response()->noContent();
    }
}
