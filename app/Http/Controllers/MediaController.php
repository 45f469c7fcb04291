<?php

namespace App\Http\Controllers;

use App\Media\BadMedia;
use App\Media\MediaIntake;
use App\Models\Medium;
use App\Models\Show;
use App\Models\Upload;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

class MediaController extends Controller
{
    /** A file that has arrived becomes a medium of the show, if it is one. */
    public function store(Request $request, Show $show, MediaIntake $intake): JsonResponse
    {
        $asked = $request->validate(['upload' => ['required', 'uuid']]);
        $upload = Upload::query()->where('show_id', $show->id)->findOrFail($asked['upload']);
        if (! $upload->isComplete()) {
            throw BadMedia::notArrived();
        }
        $path = $upload->path();
        $name = $upload->name;
        $upload->delete();
        $medium = $intake->take($show, $path, $name);

        return response()->json([
            'medium' => $medium->id,
            'kind' => $medium->kind,
            'name' => pathinfo($medium->name, PATHINFO_FILENAME),
            'width' => $medium->width,
            'height' => $medium->height,
            'pages' => $medium->pages,
            'length_ms' => $medium->length_ms,
        ], 201);
    }

    /** nginx sends the file itself, in parts where a player asks for them. */
    public function show(Show $show, string $medium): Response
    {
        /** @var Medium $found */
        $found = $show->media()->findOrFail($medium);

        return response('', 200, [
            'X-Accel-Redirect' => "/_media/{$found->hash}",
            'Content-Type' => $found->mime,
            'X-Content-Type-Options' => 'nosniff',
            // A drawing that is opened by itself can do nothing.
            'Content-Security-Policy' => "sandbox; default-src 'none'; style-src 'unsafe-inline'; img-src data:",
            'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }
}
