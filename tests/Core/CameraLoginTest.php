<?php

use App\Devices\NetworkCamera\Login;

it('answers a Digest challenge as the example of RFC 2617, 3.5', function (): void {
    $challenge = 'Digest realm="testrealm@host.com", qop="auth,auth-int", nonce="dcd98b7102dd2f0e8b11d0f600bfb0c093", opaque="5ccc069c403ebaf9f0171e9517f40e41"';
    $answer = (new Login('Mufasa', 'Circle Of Life'))->authorization($challenge, '/dir/index.html', '0a4f113b');
    expect($answer)->toContain('response="6629fae49393a05397450978507c4ef1"')->toContain('opaque="5ccc069c403ebaf9f0171e9517f40e41"')->toContain('uri="/dir/index.html"');
});

it('answers a Basic challenge as the example of RFC 7617, 2', function (): void {
    expect((new Login('Aladdin', 'open sesame'))->authorization('Basic realm="WallyWorld"', '/', 'x'))->toBe('Basic QWxhZGRpbjpvcGVuIHNlc2FtZQ==');
});

it('does not answer a challenge that it does not know', function (): void {
    expect((new Login('a', 'b'))->authorization('Negotiate', '/', 'x'))->toBeNull();
});

it('makes the digest of a UsernameToken as the example in ONVIF’s programmers’ guide, 6.1.1.3', function (): void {
    // From memory; the guide cannot be read here.
    $header = (new Login('user', 'userpassword'))->securityHeader((string) base64_decode('LKqI6G/AikKCQrN0zqZFlg==', true), '2010-09-16T07:50:45Z');
    expect($header)->toContain('tuOSpGlFlIXsozq4HFNeeGeFLEI=')->toContain('<Nonce')->not->toContain('userpassword');
});

it('does not let a name break out of its element', function (): void {
    expect((new Login('a</Username><x>', 'b'))->securityHeader('n', 't'))->toContain('a&lt;/Username&gt;&lt;x&gt;');
});
