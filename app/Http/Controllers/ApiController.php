<?php

namespace App\Http\Controllers;

use App\Models\Show;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

class ApiController extends Controller
{
    public function shows(Request $request): JsonResponse
    {
        $shows = $this->person($request)->shows()->get();

        return response()->json(['shows' => $shows->map(fn (Show $show): array => [
            'id' => $show->id,
            'name' => $show->name,
            'canvas' => $show->canvas()->toArray(),
        ])]);
    }

    public function description(): BinaryFileResponse
    {
        return response()->file(base_path('docs/api/openapi.json'), ['Content-Type' => 'application/json']);
    }
}
