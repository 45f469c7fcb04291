<?php

namespace App\Devices\NetworkCamera;

use App\Models\NetworkCamera;
use App\Models\Show;
use Rhetorix\Core\LineUp\Network\AddressRange;
use Rhetorix\Core\LineUp\Network\Reach;

/** Looks for a camera at an address and remembers how its picture is fetched. */
final class CameraProbe
{
    private const DEVICE = 'xmlns="http://www.onvif.org/ver10/device/wsdl"';

    private const MEDIA = 'xmlns="http://www.onvif.org/ver10/media/wsdl"';

    /** @throws CameraProblem|\Rhetorix\Core\Support\Refusal with a sentence that says which of the usual things is wrong */
    public function find(Show $show, string $written, ?Login $login): NetworkCamera
    {
        $address = Address::of($written);
        $address->mustBeWithin(self::reach());
        $client = new OnvifClient($address, $login);
        $device = "http://{$address->host}:{$address->port}/onvif/device_service";

        $about = $client->ask($device, '<GetDeviceInformation '.self::DEVICE.'/>');
        if (OnvifClient::text($about, 'Manufacturer') === '') {
            throw CameraProblem::notACamera((string) $address, 'it does not say who made it');
        }
        $services = $client->ask($device, '<GetCapabilities '.self::DEVICE.'><Category>All</Category></GetCapabilities>');
        $media = $address->at($this->service($services, 'Media') ?: $device);
        $profile = $client->ask($media, '<GetProfiles '.self::MEDIA.'/>')->evaluate("string(//*[local-name()='Profiles'][1]/@token)");
        $token = htmlspecialchars(is_string($profile) ? $profile : '', ENT_XML1 | ENT_QUOTES);
        $stream = OnvifClient::text($client->ask($media, '<GetStreamUri '.self::MEDIA.'><StreamSetup><Stream xmlns="http://www.onvif.org/ver10/schema">RTP-Unicast</Stream><Transport xmlns="http://www.onvif.org/ver10/schema"><Protocol>HTTP</Protocol></Transport></StreamSetup><ProfileToken>'.$token.'</ProfileToken></GetStreamUri>'), 'Uri');
        $snapshot = OnvifClient::text($client->ask($media, '<GetSnapshotUri '.self::MEDIA.'><ProfileToken>'.$token.'</ProfileToken></GetSnapshotUri>'), 'Uri');
        if (! str_starts_with($stream, 'http') && ! str_starts_with($snapshot, 'http')) {
            throw CameraProblem::noStream((string) $address);
        }

        return NetworkCamera::query()->create([
            'show_id' => $show->id,
            'address' => (string) $address,
            'login' => $login === null ? null : ['user' => $login->user, 'password' => $login->password],
            'maker' => mb_substr(OnvifClient::text($about, 'Manufacturer').' '.OnvifClient::text($about, 'Model'), 0, 100),
            'stream_uri' => str_starts_with($stream, 'http') ? $address->at($stream) : null,
            'snapshot_uri' => str_starts_with($snapshot, 'http') ? $address->at($snapshot) : null,
        ]);
    }

    /**
     * What this computer's network cards reach. Itself only where the
     * simulated camera runs: elsewhere nobody may have the server ask its own
     * services.
     */
    public static function reach(): Reach
    {
        $ranges = [];
        foreach (net_get_interfaces() ?: [] as $card) {
            foreach ($card['unicast'] ?? [] as $own) {
                if (isset($own['address'], $own['netmask']) && filter_var($own['address'], FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) !== false) {
                    $range = AddressRange::ofCard($own['address'], $own['netmask']);
                    if (! $range->isLoopback() || ! app()->isProduction()) {
                        $ranges[] = $range;
                    }
                }
            }
        }

        return new Reach($ranges);
    }

    private function service(\DOMXPath $services, string $name): string
    {
        $found = $services->evaluate("string(//*[local-name()='{$name}']/*[local-name()='XAddr'])");

        return is_string($found) ? $found : '';
    }
}
