<?php

namespace App\Devices\NetworkCamera;

/** User and password of a camera. */
final readonly class Login
{
    public function __construct(public string $user, #[\SensitiveParameter] public string $password)
    {
    }

    /**
     * The header of a SOAP request. The password itself is not sent.
     *
     * Source: OASIS Web Services Security UsernameToken Profile 1.0:
     * digest = Base64(SHA-1(nonce + created + password)).
     */
    public function securityHeader(string $nonce, string $created): string
    {
        $digest = base64_encode(sha1($nonce.$created.$this->password, true));

        return '<Security xmlns="http://docs.oasis-open.org/wss/2004/01/oasis-200401-wss-wssecurity-secext-1.0.xsd"><UsernameToken>'
            .'<Username>'.htmlspecialchars($this->user, ENT_XML1).'</Username>'
            .'<Password Type="http://docs.oasis-open.org/wss/2004/01/oasis-200401-wss-username-token-profile-1.0#PasswordDigest">'.$digest.'</Password>'
            .'<Nonce EncodingType="http://docs.oasis-open.org/wss/2004/01/oasis-200401-wss-soap-message-security-1.0#Base64Binary">'.base64_encode($nonce).'</Nonce>'
            .'<Created xmlns="http://docs.oasis-open.org/wss/2004/01/oasis-200401-wss-wssecurity-utility-1.0.xsd">'.$created.'</Created>'
            .'</UsernameToken></Security>';
    }

    /**
     * The Authorization header that answers a challenge, or null for a kind that is not known.
     *
     * Sources: RFC 7617 (Basic), RFC 2617 / RFC 7616 (Digest, MD5 with qop auth).
     */
    public function authorization(string $challenge, string $path, string $cnonce): ?string
    {
        if (stripos($challenge, 'basic') === 0) {
            return 'Basic '.base64_encode("{$this->user}:{$this->password}");
        }
        if (stripos($challenge, 'digest') !== 0) {
            return null;
        }
        preg_match_all('/(\w+)=(?:"([^"]*)"|([^\s,]+))/', $challenge, $found, PREG_SET_ORDER);
        $given = [];
        foreach ($found as $pair) {
            $given[strtolower($pair[1])] = $pair[2] !== '' ? $pair[2] : ($pair[3] ?? '');
        }
        [$realm, $nonce] = [$given['realm'] ?? '', $given['nonce'] ?? ''];
        $secret = md5("{$this->user}:{$realm}:{$this->password}");
        $request = md5("GET:{$path}");
        $quality = str_contains($given['qop'] ?? '', 'auth');
        $response = $quality ? md5("{$secret}:{$nonce}:00000001:{$cnonce}:auth:{$request}") : md5("{$secret}:{$nonce}:{$request}");

        return "Digest username=\"{$this->user}\", realm=\"{$realm}\", nonce=\"{$nonce}\", uri=\"{$path}\", response=\"{$response}\""
            .($quality ? ", qop=auth, nc=00000001, cnonce=\"{$cnonce}\"" : '')
            .(isset($given['opaque']) ? ", opaque=\"{$given['opaque']}\"" : '');
    }
}
