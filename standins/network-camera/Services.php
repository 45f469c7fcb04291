<?php

declare(strict_types=1);

namespace StandIns\NetworkCamera;

use DOMDocument;
use DOMElement;
use DOMXPath;

/**
 * ONVIF's Device, Media and PTZ services, as much of them as Profile S asks
 * for to look at a camera and to move it. Source: ONVIF WSDL 1.0 schemas.
 */
final readonly class Services
{
    public function __construct(private Camera $camera, private Guard $guard, private string $base)
    {
    }

    /** @return array{string, string} status line and body */
    public function answer(string $soap): array
    {
        $document = new DOMDocument;
        if ($soap === '' || ! $document->loadXML($soap, LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING)) {
            return $this->fault('400 Bad Request', 'Sender', 'WellFormed', 'This is not XML.');
        }
        $envelope = new DOMXPath($document);
        $request = $envelope->query("//*[local-name()='Body']/*[1]")?->item(0);
        if (! $request instanceof DOMElement) {
            return $this->fault('400 Bad Request', 'Sender', 'InvalidArgVal', 'The body is empty.');
        }
        $name = (string) $request->localName;
        if ($name !== 'GetSystemDateAndTime' && ! $this->guard->allowsSoap($envelope)) {
            return $this->fault('400 Bad Request', 'Sender', 'NotAuthorized', 'Sender not authorized');
        }
        $body = $this->respond($name, new Asked($envelope));

        return $body === null ? $this->fault('400 Bad Request', 'Receiver', 'ActionNotSupported', "{$name} is not known here.") : ['200 OK', $this->envelope($body)];
    }

    private function respond(string $name, Asked $asked): ?string
    {
        return match ($name) {
            'GetSystemDateAndTime' => $this->time(),
            'GetDeviceInformation' => '<tds:GetDeviceInformationResponse><tds:Manufacturer>Stand-in</tds:Manufacturer><tds:Model>Room camera</tds:Model><tds:FirmwareVersion>1</tds:FirmwareVersion><tds:SerialNumber>1</tds:SerialNumber><tds:HardwareId>1</tds:HardwareId></tds:GetDeviceInformationResponse>',
            'GetScopes' => '<tds:GetScopesResponse><tds:Scopes><tt:ScopeDef>Fixed</tt:ScopeDef><tt:ScopeItem>onvif://www.onvif.org/Profile/Streaming</tt:ScopeItem></tds:Scopes></tds:GetScopesResponse>',
            'GetCapabilities' => '<tds:GetCapabilitiesResponse><tds:Capabilities>'
                ."<tt:Device><tt:XAddr>{$this->base}/onvif/device_service</tt:XAddr></tt:Device>"
                ."<tt:Media><tt:XAddr>{$this->base}/onvif/media_service</tt:XAddr></tt:Media>"
                ."<tt:PTZ><tt:XAddr>{$this->base}/onvif/ptz_service</tt:XAddr></tt:PTZ></tds:Capabilities></tds:GetCapabilitiesResponse>",
            'GetServices' => '<tds:GetServicesResponse>'.$this->service('device', 'device').$this->service('media', 'media').$this->service('ptz', 'ptz', 'ver20').'</tds:GetServicesResponse>',
            'GetVideoSources' => '<trt:GetVideoSourcesResponse><trt:VideoSources token="source"><tt:Framerate>12.5</tt:Framerate><tt:Resolution><tt:Width>640</tt:Width><tt:Height>360</tt:Height></tt:Resolution></trt:VideoSources></trt:GetVideoSourcesResponse>',
            'GetProfiles' => '<trt:GetProfilesResponse>'.$this->profile('Profiles').'</trt:GetProfilesResponse>',
            'GetProfile' => '<trt:GetProfileResponse>'.$this->profile('Profile').'</trt:GetProfileResponse>',
            'GetStreamUri' => "<trt:GetStreamUriResponse>{$this->uri('/stream.mjpg')}</trt:GetStreamUriResponse>",
            'GetSnapshotUri' => "<trt:GetSnapshotUriResponse>{$this->uri('/snapshot.jpg')}</trt:GetSnapshotUriResponse>",
            'GetNodes' => '<tptz:GetNodesResponse>'.$this->node().'</tptz:GetNodesResponse>',
            'GetConfigurations' => '<tptz:GetConfigurationsResponse><tptz:PTZConfiguration token="ptz"><tt:Name>motors</tt:Name><tt:UseCount>1</tt:UseCount><tt:NodeToken>node</tt:NodeToken></tptz:PTZConfiguration></tptz:GetConfigurationsResponse>',
            'GetStatus' => $this->status(),
            'GetPresets' => '<tptz:GetPresetsResponse>'.implode('', array_map($this->preset(...), array_keys($this->camera->presets))).'</tptz:GetPresetsResponse>',
            'AbsoluteMove' => $this->done('AbsoluteMove', fn () => $this->camera->goTo($asked->vector('Position'), $asked->speed())),
            'RelativeMove' => $this->done('RelativeMove', fn () => $this->camera->goBy($asked->vector('Translation'), $asked->speed())),
            'ContinuousMove' => $this->done('ContinuousMove', fn () => $this->camera->drive($asked->vector('Velocity'))),
            'Stop' => $this->done('Stop', fn () => $this->camera->stop()),
            'GotoPreset' => isset($this->camera->presets[$asked->text('PresetToken')])
                ? $this->done('GotoPreset', fn () => $this->camera->goTo($this->camera->presets[$asked->text('PresetToken')]['position'], $asked->speed()))
                : null,
            'SetPreset' => '<tptz:SetPresetResponse><tptz:PresetToken>'.$this->camera->remember($asked->text('PresetName'), $asked->text('PresetToken') ?: null).'</tptz:PresetToken></tptz:SetPresetResponse>',
            default => null,
        };
    }

    private function time(): string
    {
        [$year, $month, $day, $hour, $minute, $second] = array_map(intval(...), explode(' ', gmdate('Y n j G i s')));
        $written = "<tt:Time><tt:Hour>{$hour}</tt:Hour><tt:Minute>{$minute}</tt:Minute><tt:Second>{$second}</tt:Second></tt:Time><tt:Date><tt:Year>{$year}</tt:Year><tt:Month>{$month}</tt:Month><tt:Day>{$day}</tt:Day></tt:Date>";

        return "<tds:GetSystemDateAndTimeResponse><tds:SystemDateAndTime><tt:DateTimeType>Manual</tt:DateTimeType><tt:DaylightSavings>false</tt:DaylightSavings><tt:UTCDateTime>{$written}</tt:UTCDateTime></tds:SystemDateAndTime></tds:GetSystemDateAndTimeResponse>";
    }

    private function service(string $name, string $path, string $version = 'ver10'): string
    {
        return "<tds:Service><tds:Namespace>http://www.onvif.org/{$version}/{$name}/wsdl</tds:Namespace><tds:XAddr>{$this->base}/onvif/{$path}_service</tds:XAddr><tds:Version><tt:Major>2</tt:Major><tt:Minor>5</tt:Minor></tds:Version></tds:Service>";
    }

    private function profile(string $element): string
    {
        return "<trt:{$element} token=\"room\" fixed=\"true\"><tt:Name>Room</tt:Name>"
            .'<tt:VideoSourceConfiguration token="vs"><tt:Name>vs</tt:Name><tt:UseCount>1</tt:UseCount><tt:SourceToken>source</tt:SourceToken><tt:Bounds x="0" y="0" width="640" height="360"/></tt:VideoSourceConfiguration>'
            .'<tt:VideoEncoderConfiguration token="ve"><tt:Name>ve</tt:Name><tt:UseCount>1</tt:UseCount><tt:Encoding>JPEG</tt:Encoding><tt:Resolution><tt:Width>640</tt:Width><tt:Height>360</tt:Height></tt:Resolution><tt:Quality>78</tt:Quality><tt:RateControl><tt:FrameRateLimit>13</tt:FrameRateLimit><tt:EncodingInterval>1</tt:EncodingInterval><tt:BitrateLimit>6000</tt:BitrateLimit></tt:RateControl></tt:VideoEncoderConfiguration>'
            .'<tt:PTZConfiguration token="ptz"><tt:Name>motors</tt:Name><tt:UseCount>1</tt:UseCount><tt:NodeToken>node</tt:NodeToken></tt:PTZConfiguration>'
            ."</trt:{$element}>";
    }

    private function uri(string $path): string
    {
        return "<trt:MediaUri><tt:Uri>{$this->base}{$path}</tt:Uri><tt:InvalidAfterConnect>false</tt:InvalidAfterConnect><tt:InvalidAfterReboot>false</tt:InvalidAfterReboot><tt:Timeout>PT0S</tt:Timeout></trt:MediaUri>";
    }

    private function node(): string
    {
        $range = fn (string $axis, float $least): string => "<tt:{$axis}Range><tt:Min>{$least}</tt:Min><tt:Max>1</tt:Max></tt:{$axis}Range>";

        return '<tptz:PTZNode token="node" FixedHomePosition="false"><tt:Name>motors</tt:Name><tt:SupportedPTZSpaces>'
            .'<tt:AbsolutePanTiltPositionSpace><tt:URI>http://www.onvif.org/ver10/tptz/PanTiltSpaces/PositionGenericSpace</tt:URI>'.$range('X', -1).$range('Y', -1).'</tt:AbsolutePanTiltPositionSpace>'
            .'<tt:AbsoluteZoomPositionSpace><tt:URI>http://www.onvif.org/ver10/tptz/ZoomSpaces/PositionGenericSpace</tt:URI>'.$range('X', 0).'</tt:AbsoluteZoomPositionSpace>'
            .'</tt:SupportedPTZSpaces><tt:MaximumNumberOfPresets>50</tt:MaximumNumberOfPresets><tt:HomeSupported>false</tt:HomeSupported></tptz:PTZNode>';
    }

    private function status(): string
    {
        $position = $this->camera->at(microtime(true));
        $state = $this->camera->isMoving() ? 'MOVING' : 'IDLE';

        return '<tptz:GetStatusResponse><tptz:PTZStatus>'.$this->position($position)
            ."<tt:MoveStatus><tt:PanTilt>{$state}</tt:PanTilt><tt:Zoom>{$state}</tt:Zoom></tt:MoveStatus><tt:UtcTime>".gmdate('Y-m-d\TH:i:s\Z').'</tt:UtcTime></tptz:PTZStatus></tptz:GetStatusResponse>';
    }

    private function preset(int|string $token): string
    {
        $preset = $this->camera->presets[(string) $token];

        return "<tptz:Preset token=\"{$token}\"><tt:Name>".htmlspecialchars($preset['name'], ENT_XML1).'</tt:Name>'.str_replace('tt:Position', 'tt:PTZPosition', $this->position($preset['position'])).'</tptz:Preset>';
    }

    /** @param  array<string, float>  $position */
    private function position(array $position): string
    {
        return sprintf('<tt:Position><tt:PanTilt x="%.4f" y="%.4f"/><tt:Zoom x="%.4f"/></tt:Position>', $position['pan'], $position['tilt'], $position['zoom']);
    }

    private function done(string $name, callable $move): string
    {
        $move();

        return "<tptz:{$name}Response/>";
    }

    private function envelope(string $body): string
    {
        return '<?xml version="1.0" encoding="UTF-8"?><s:Envelope xmlns:s="http://www.w3.org/2003/05/soap-envelope" xmlns:tt="http://www.onvif.org/ver10/schema" xmlns:tds="http://www.onvif.org/ver10/device/wsdl" xmlns:trt="http://www.onvif.org/ver10/media/wsdl" xmlns:tptz="http://www.onvif.org/ver20/ptz/wsdl" xmlns:ter="http://www.onvif.org/ver10/error"><s:Body>'.$body.'</s:Body></s:Envelope>';
    }

    /** @return array{string, string} */
    private function fault(string $status, string $code, string $subcode, string $why): array
    {
        return [$status, $this->envelope("<s:Fault><s:Code><s:Value>s:{$code}</s:Value><s:Subcode><s:Value>ter:{$subcode}</s:Value></s:Subcode></s:Code><s:Reason><s:Text xml:lang=\"en\">".htmlspecialchars($why, ENT_XML1).'</s:Text></s:Reason></s:Fault>')];
    }
}
