<?php

namespace App\Http\Controllers;

use App\LineUp\SignalDesk;
use App\Live\HostLease;
use App\Models\Show;
use App\Models\SourceRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Rhetorix\Core\Rig\BarDetection;
use Rhetorix\Core\Rig\Devices\KnownDevice;
use Rhetorix\Core\Rig\Devices\Matching;
use Rhetorix\Core\Rig\Devices\PluggedDevice;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** What the picture host says of its devices and signals, and what the core makes of it. */
class DeviceController extends Controller
{
    /** Which device is which source, which waits, which may be one that is missing. */
    public function match(Request $request, Show $show): JsonResponse
    {
        $rows = $show->sources()->get()->filter(fn (SourceRow $row): bool => in_array($row->kind, [SourceKind::Camera, SourceKind::Microphone], true));
        $known = $rows->map(fn (SourceRow $row): KnownDevice => new KnownDevice(
            $row->id,
            $row->kind === SourceKind::Microphone ? 'microphone' : 'camera',
            $row->setting('device') ?? '',
            $row->setting('label') ?? '',
        ))->all();
        $plugged = array_map(
            fn (mixed $device): PluggedDevice => PluggedDevice::fromFields(Fields::of($device, 'devices')),
            array_slice(array_values((array) $request->json('devices', [])), 0, 100),
        );

        return response()->json(Matching::of(array_values($known), $plugged)->toArray());
    }

    public function signals(Request $request, Show $show, HostLease $lease, SignalDesk $signals): JsonResponse
    {
        $fields = Fields::of($request->json()->all());
        if (! $lease->isHeldBy($show, $fields->string('tab', 64))) {
            throw new Refusal('This tab is not the picture host any more.');
        }

        ['signals' => $found, 'quality' => $quality] = $signals->take($show, $fields->object('samples')->all(), $fields->has('host') ? $fields->object('host')->all() : []);

        return response()->json(['signals' => (object) $found, 'quality' => $quality]);
    }

    /** Black bars of a padded picture, from the brightest luma of each column and row. */
    public function bars(Request $request, Show $show): JsonResponse
    {
        $profile = fn (string $name): array => array_map(
            fn (mixed $value): int => is_int($value) ? $value : 255,
            array_slice(array_values((array) $request->json($name, [])), 0, 8192),
        );
        $crop = BarDetection::find($profile('columns'), $profile('rows'));

        return response()->json(['crop' => $crop?->toArray()]);
    }
}
