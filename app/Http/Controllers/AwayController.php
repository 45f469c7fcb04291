<?php

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** What a browser needs to go on while the server is away, and to come back. */
class AwayController extends Controller
{
    /** The worker, with the list of the files of this build in front. */
    public function worker(): Response
    {
        $folder = public_path('build');
        /** @var array<string, array{file: string}> $manifest */
        $manifest = json_decode((string) file_get_contents("{$folder}/manifest.json"), true, flags: JSON_THROW_ON_ERROR);
        $worker = (string) file_get_contents("{$folder}/{$manifest['resources/js/worker/away.ts']['file']}");
        $files = array_map(fn (string $path): string => '/build/assets/'.basename($path), glob("{$folder}/assets/*") ?: []);
        $head = 'self.BUILD='.json_encode(substr(hash('sha256', implode(' ', $files)), 0, 12)).';self.FILES='.json_encode($files, JSON_UNESCAPED_SLASHES).";\n";

        return response($head.$worker, 200, ['Content-Type' => 'text/javascript; charset=utf-8', 'Cache-Control' => 'no-cache', 'Service-Worker-Allowed' => '/']);
    }

    /** A page that is older than its token asks for a new one. */
    public function token(): JsonResponse
    {
        return response()->json(['token' => csrf_token()]);
    }
}
