<?php

declare(strict_types=1);

namespace StandIns\NetworkCamera;

/** A request over HTTP that has arrived whole. */
final readonly class Request
{
    /** @param  array<string, string>  $headers  names in small letters */
    private function __construct(public string $method, public string $path, public array $headers, public string $body)
    {
    }

    /** Null while a part of it is still missing. */
    public static function parse(string $bytes): ?self
    {
        $end = strpos($bytes, "\r\n\r\n");
        if ($end === false) {
            return null;
        }
        $lines = explode("\r\n", substr($bytes, 0, $end));
        [$method, $target] = [...explode(' ', array_shift($lines)), '', ''];
        $headers = [];
        foreach ($lines as $line) {
            [$name, $value] = [...explode(':', $line, 2), ''];
            $headers[strtolower(trim($name))] = trim($value);
        }
        $length = (int) ($headers['content-length'] ?? 0);
        $body = substr($bytes, $end + 4);

        return strlen($body) < $length ? null : new self($method, (string) parse_url($target, PHP_URL_PATH), $headers, substr($body, 0, $length));
    }
}
