<?php

namespace App\Devices\NetworkCamera;

use App\Models\NetworkCamera;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/**
 * Lets nginx fetch a camera's picture for a page, so that it comes from our
 * own address, and no worker is held while it runs. The page never sees the
 * camera's password.
 */
final class CameraGate
{
    public function stream(NetworkCamera $camera): Response
    {
        return $this->pass($camera, $camera->streamUri() ?? throw CameraProblem::noStream($camera->address));
    }

    public function snapshot(NetworkCamera $camera): Response
    {
        return $this->pass($camera, $camera->snapshotUri() ?? throw CameraProblem::noStream($camera->address));
    }

    private function pass(NetworkCamera $camera, string $uri): Response
    {
        return response('', 200, [
            'X-Accel-Redirect' => '/_camera',
            'X-Accel-Buffering' => 'no',
            'X-Camera-Url' => $uri,
            'X-Camera-Authorization' => $this->authorization($camera, $uri),
        ]);
    }

    /** The camera is asked once without a name, and its challenge is answered in the request that nginx makes. */
    private function authorization(NetworkCamera $camera, string $uri): string
    {
        if ($camera->login === null) {
            return '';
        }
        $challenge = '';
        $request = curl_init($uri);
        if ($request === false) {
            throw CameraProblem::noAnswer($camera->address);
        }
        curl_setopt_array($request, [
            CURLOPT_CONNECTTIMEOUT_MS => 2500,
            CURLOPT_TIMEOUT_MS => 4000,
            CURLOPT_PROTOCOLS => CURLPROTO_HTTP,
            CURLOPT_HEADERFUNCTION => function ($_, string $line) use (&$challenge): int {
                $challenge = preg_match('/^WWW-Authenticate:\s*(.+?)\s*$/i', $line, $found) === 1 ? $found[1] : $challenge;

                return strlen($line);
            },
            CURLOPT_WRITEFUNCTION => fn (): int => 0, // the head is enough
        ]);
        curl_exec($request);
        $status = (int) curl_getinfo($request, CURLINFO_RESPONSE_CODE);
        curl_close($request);
        if ($status === 0) {
            throw CameraProblem::noAnswer($camera->address);
        }
        $parts = parse_url($uri);
        $path = (is_array($parts) ? ($parts['path'] ?? '/') : '/').(is_array($parts) && isset($parts['query']) ? "?{$parts['query']}" : '');

        return $challenge === '' ? '' : ((new Login($camera->login['user'], $camera->login['password']))->authorization($challenge, $path, Str::random(16)) ?? '');
    }
}
