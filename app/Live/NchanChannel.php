<?php

namespace App\Live;

/**
 * Publishes through nginx's nchan module, over a socket file that is not
 * reachable from the network.
 */
final readonly class NchanChannel implements Channel
{
    public function __construct(private string $socket)
    {
    }

    public function publish(string $channel, array $message): void
    {
        $request = curl_init('http://live/publish/'.rawurlencode($channel));
        if ($request === false) {
            throw new ChannelDown('The live channel could not be asked.');
        }
        curl_setopt_array($request, [
            CURLOPT_UNIX_SOCKET_PATH => $this->socket,
            CURLOPT_POSTFIELDS => json_encode($message, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Expect:'],
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT_MS => 2000,
        ]);
        $answered = curl_exec($request) !== false;
        $status = curl_getinfo($request, CURLINFO_RESPONSE_CODE);
        curl_close($request);

        // 201: somebody listens; 202: nobody does at the moment.
        if (! $answered || ! in_array($status, [201, 202], true)) {
            throw new ChannelDown("The live channel did not take the message (answer {$status}).");
        }
    }
}
