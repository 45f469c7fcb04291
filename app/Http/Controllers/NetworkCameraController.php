<?php

namespace App\Http\Controllers;

use App\Devices\NetworkCamera\CameraGate;
use App\Devices\NetworkCamera\CameraProbe;
use App\Devices\NetworkCamera\Login;
use App\Models\NetworkCamera;
use App\Models\Show;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Cameras of the network: looking for one, and its picture. */
class NetworkCameraController extends Controller
{
    public function store(Request $request, Show $show, CameraProbe $probe): JsonResponse
    {
        $asked = $request->validate(['address' => ['required', 'string', 'max:200'], 'user' => ['nullable', 'string', 'max:100'], 'password' => ['nullable', 'string', 'max:200']]);
        $login = ($asked['user'] ?? '') === '' ? null : new Login($asked['user'], $asked['password'] ?? '');
        $camera = $probe->find($show, $asked['address'], $login);

        return response()->json(['camera' => $camera->id, 'maker' => $camera->maker, 'address' => $camera->address, 'moving' => $camera->stream_uri !== null], 201);
    }

    public function stream(Show $show, string $camera, CameraGate $gate): Response
    {
        return $gate->stream($this->camera($show, $camera));
    }

    public function snapshot(Show $show, string $camera, CameraGate $gate): Response
    {
        return $gate->snapshot($this->camera($show, $camera));
    }

    private function camera(Show $show, string $id): NetworkCamera
    {
        return NetworkCamera::query()->where('show_id', $show->id)->findOrFail($id);
    }
}
