<?php

namespace App\Http\Controllers;

use App\Media\StillIntake;
use App\Models\Medium;
use App\Models\Show;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

class MediaController extends Controller
{
    public function store(Request $request, Show $show, StillIntake $intake): JsonResponse
    {
        $medium = $intake->take($show, $request->file('file'));

        return response()->json(['medium' => $medium->id, 'name' => pathinfo($medium->name, PATHINFO_FILENAME), 'width' => $medium->width, 'height' => $medium->height], 201);
    }

    public function show(Show $show, string $medium): BinaryFileResponse
    {
        /** @var Medium $found */
        $found = $show->media()->findOrFail($medium);

        return response()->file($found->path(), ['Content-Type' => $found->mime, 'X-Content-Type-Options' => 'nosniff', 'Cache-Control' => 'private, max-age=31536000, immutable']);
    }
}
