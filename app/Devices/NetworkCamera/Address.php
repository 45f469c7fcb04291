<?php

namespace App\Devices\NetworkCamera;

use Rhetorix\Core\LineUp\Network\Reach;

/** Host and port of a camera, as a person wrote it. */
final readonly class Address
{
    private function __construct(public string $host, public int $port)
    {
    }

    /** @throws CameraProblem */
    public static function of(string $written): self
    {
        $bare = (string) preg_replace('#^https?://|/.*$#i', '', trim($written));
        if (preg_match('/^([a-z0-9.-]{1,253})(?::(\d{1,5}))?$/i', $bare, $parts) !== 1) {
            throw CameraProblem::badAddress($written);
        }
        $host = filter_var($parts[1], FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) !== false ? $parts[1] : gethostbyname($parts[1]);
        $port = (int) ($parts[2] ?? 80);
        if (filter_var($host, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) === false || $port < 1 || $port > 65535) {
            throw CameraProblem::badAddress($written);
        }

        return new self($host, $port);
    }

    public function mustBeWithin(Reach $reach): void
    {
        $reach->mustInclude($this->host);
    }

    /** An address that the camera gave, at the host by which it is reached: cameras often do not know that themselves. */
    public function at(string $uri): string
    {
        $parts = parse_url($uri);
        $parts = is_array($parts) ? $parts : [];
        $query = isset($parts['query']) ? "?{$parts['query']}" : '';

        return "http://{$this->host}:".($parts['port'] ?? 80).($parts['path'] ?? '/').$query;
    }

    public function __toString(): string
    {
        return $this->port === 80 ? $this->host : "{$this->host}:{$this->port}";
    }
}
