<?php

namespace App\Devices\NetworkCamera;

use DOMDocument;
use DOMXPath;

/**
 * Asks a camera's ONVIF services over SOAP 1.2.
 * Source: ONVIF Core, Media and PTZ service specifications (Profile S).
 */
final readonly class OnvifClient
{
    public function __construct(private Address $address, private ?Login $login)
    {
    }

    /**
     * @param  string  $uri  of the service
     * @param  string  $body  the request element
     *
     * @throws CameraProblem
     */
    public function ask(string $uri, string $body): DOMXPath
    {
        $header = $this->login?->securityHeader(random_bytes(16), gmdate('Y-m-d\TH:i:s.000\Z')) ?? '';
        $request = curl_init($uri);
        if ($request === false) {
            throw CameraProblem::noAnswer((string) $this->address);
        }
        curl_setopt_array($request, [
            CURLOPT_POSTFIELDS => '<?xml version="1.0" encoding="utf-8"?><Envelope xmlns="http://www.w3.org/2003/05/soap-envelope"><Header>'.$header.'</Header><Body>'.$body.'</Body></Envelope>',
            CURLOPT_HTTPHEADER => ['Content-Type: application/soap+xml; charset=utf-8', 'Expect:'],
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_CONNECTTIMEOUT_MS => 2500,
            CURLOPT_TIMEOUT_MS => 6000,
            CURLOPT_PROTOCOLS => CURLPROTO_HTTP,
            CURLOPT_FOLLOWLOCATION => false,
            CURLOPT_MAXFILESIZE => 2_000_000,
        ]);
        if ($this->login !== null) {
            curl_setopt_array($request, [CURLOPT_HTTPAUTH => CURLAUTH_BASIC | CURLAUTH_DIGEST, CURLOPT_USERPWD => "{$this->login->user}:{$this->login->password}"]);
        }
        $answer = curl_exec($request);
        $status = (int) curl_getinfo($request, CURLINFO_RESPONSE_CODE);
        curl_close($request);
        if (! is_string($answer) || $status === 0) {
            throw CameraProblem::noAnswer((string) $this->address);
        }

        return $this->read($answer, $status);
    }

    private function read(string $answer, int $status): DOMXPath
    {
        $document = new DOMDocument;
        $isXml = $answer !== '' && @$document->loadXML($answer, LIBXML_NONET);
        if (in_array($status, [401, 403], true) || str_contains($answer, 'NotAuthorized') || str_contains($answer, 'FailedAuthentication')) {
            throw CameraProblem::wrongPassword((string) $this->address);
        }
        if (! $isXml || $document->documentElement?->localName !== 'Envelope') {
            throw CameraProblem::notACamera((string) $this->address, "it answered {$status} and no SOAP");
        }

        return new DOMXPath($document);
    }

    /** The text of the first element of this name, wherever it stands. */
    public static function text(DOMXPath $answer, string $element): string
    {
        $found = $answer->query("//*[local-name()='{$element}']");

        return $found === false || $found->length === 0 ? '' : trim((string) $found->item(0)?->textContent);
    }
}
