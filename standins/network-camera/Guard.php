<?php

declare(strict_types=1);

namespace StandIns\NetworkCamera;

use DOMXPath;

/** Asks for name and password: HTTP Basic or Digest for pictures, a UsernameToken for SOAP. */
final class Guard
{
    private const REALM = 'stand-in camera';

    private string $nonce;

    public function __construct(private readonly string $user, private readonly string $password)
    {
        $this->nonce = bin2hex(random_bytes(12));
    }

    /** @return list<string> headers */
    public function challenges(): array
    {
        return ['WWW-Authenticate: Digest realm="'.self::REALM.'", nonce="'.$this->nonce.'", qop="auth", algorithm=MD5'];
    }

    public function allows(Request $request): bool
    {
        $given = $request->headers['authorization'] ?? '';
        if (stripos($given, 'basic ') === 0) {
            return hash_equals(base64_encode("{$this->user}:{$this->password}"), substr($given, 6));
        }
        preg_match_all('/(\w+)=(?:"([^"]*)"|([^\s,]+))/', $given, $found, PREG_SET_ORDER);
        $parts = [];
        foreach ($found as $pair) {
            $parts[$pair[1]] = $pair[2] !== '' ? $pair[2] : ($pair[3] ?? '');
        }
        $secret = md5("{$this->user}:".self::REALM.":{$this->password}");
        $asked = md5("{$request->method}:".($parts['uri'] ?? ''));
        $wanted = md5(implode(':', [$secret, $this->nonce, $parts['nc'] ?? '', $parts['cnonce'] ?? '', $parts['qop'] ?? '', $asked]));

        return ($parts['username'] ?? '') === $this->user && hash_equals($wanted, $parts['response'] ?? '');
    }

    /** OASIS UsernameToken Profile 1.0, password digest. */
    public function allowsSoap(DOMXPath $envelope): bool
    {
        $text = fn (string $name): string => is_string($found = $envelope->evaluate("string(//*[local-name()='UsernameToken']/*[local-name()='{$name}'])")) ? $found : '';
        $digest = base64_encode(sha1((string) base64_decode($text('Nonce'), true).$text('Created').$this->password, true));

        return $text('Username') === $this->user && hash_equals($digest, $text('Password'));
    }
}
