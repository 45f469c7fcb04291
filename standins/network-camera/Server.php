<?php

declare(strict_types=1);

namespace StandIns\NetworkCamera;

/** One small server: SOAP requests, snapshots, and motion JPEG for everybody who watches. */
final class Server
{
    private const RATE = 12.5;

    private const BOUNDARY = 'frame';

    /** A client that reads so slowly that this much waits for it misses frames instead. */
    private const MOST_WAITING = 600_000;

    /** @var array<int, array{socket: resource, in: string, out: string, watches: bool, close: bool}> */
    private array $clients = [];

    private int $frame = 0;

    private Services $services;

    private Guard $guard;

    public function __construct(
        private readonly int $port,
        string $user,
        string $password,
        private readonly Camera $camera,
        private readonly RoomPicture $room,
    ) {
        $this->guard = new Guard($user, $password);
        $this->services = new Services($camera, $this->guard, "http://127.0.0.1:{$port}");
    }

    public function run(): never
    {
        $server = stream_socket_server("tcp://127.0.0.1:{$this->port}", $code, $why);
        if ($server === false) {
            fwrite(STDERR, "The stand-in camera cannot listen on port {$this->port}: {$why}\n");
            exit(1);
        }
        stream_set_blocking($server, false);
        $next = microtime(true);
        while (true) {
            $read = [$server, ...array_column($this->clients, 'socket')];
            $write = array_column(array_filter($this->clients, fn (array $client): bool => $client['out'] !== ''), 'socket');
            $except = null;
            $wait = max(0.0, min(0.5, $this->isWatched() ? $next - microtime(true) : 0.5));
            if (@stream_select($read, $write, $except, 0, (int) ($wait * 1e6)) > 0) {
                foreach ($read as $socket) {
                    $socket === $server ? $this->accept($server) : $this->read((int) $socket);
                }
                foreach ($write as $socket) {
                    $this->write((int) $socket);
                }
            }
            if (microtime(true) >= $next) {
                $next = max($next + 1 / self::RATE, microtime(true));
                $this->beat();
            }
        }
    }

    private function isWatched(): bool
    {
        return array_filter($this->clients, fn (array $client): bool => $client['watches']) !== [];
    }

    private function beat(): void
    {
        $this->camera->at(microtime(true));
        if (! $this->isWatched()) {
            return;
        }
        $jpeg = $this->picture();
        $part = '--'.self::BOUNDARY."\r\nContent-Type: image/jpeg\r\nContent-Length: ".strlen($jpeg)."\r\n\r\n{$jpeg}\r\n";
        foreach ($this->clients as $id => $client) {
            if ($client['watches'] && strlen($client['out']) < self::MOST_WAITING) {
                $this->clients[$id]['out'] .= $part;
                $this->write($id);
            }
        }
    }

    private function picture(): string
    {
        $now = microtime(true);

        return $this->room->view($this->camera->at($now), $now, $this->frame++);
    }

    /** @param  resource  $server */
    private function accept($server): void
    {
        $socket = @stream_socket_accept($server, 0);
        if ($socket !== false) {
            stream_set_blocking($socket, false);
            $this->clients[(int) $socket] = ['socket' => $socket, 'in' => '', 'out' => '', 'watches' => false, 'close' => false];
        }
    }

    private function read(int $id): void
    {
        $chunk = isset($this->clients[$id]) ? @fread($this->clients[$id]['socket'], 65536) : false;
        if ($chunk === false || ($chunk === '' && feof($this->clients[$id]['socket']))) {
            $this->drop($id);

            return;
        }
        $this->clients[$id]['in'] .= $chunk;
        $request = Request::parse($this->clients[$id]['in']);
        if ($request instanceof Request) {
            $this->clients[$id]['in'] = '';
            $this->answer($id, $request);
        } elseif (strlen($this->clients[$id]['in']) > 200_000) {
            $this->drop($id);
        }
    }

    private function answer(int $id, Request $request): void
    {
        $needsName = in_array($request->path, ['/stream.mjpg', '/snapshot.jpg'], true);
        if ($needsName && ! $this->guard->allows($request)) {
            $this->send($id, '401 Unauthorized', 'text/plain', 'Name and password, please.', $this->guard->challenges());
        } elseif ($request->path === '/stream.mjpg') {
            $this->clients[$id]['watches'] = true;
            $this->clients[$id]['out'] .= "HTTP/1.1 200 OK\r\nContent-Type: multipart/x-mixed-replace; boundary=".self::BOUNDARY."\r\nCache-Control: no-store\r\nConnection: close\r\n\r\n";
        } elseif ($request->path === '/snapshot.jpg') {
            $this->send($id, '200 OK', 'image/jpeg', $this->picture());
        } elseif (str_starts_with($request->path, '/onvif/')) {
            [$status, $body] = $this->services->answer($request->body);
            $this->send($id, $status, 'application/soap+xml; charset=utf-8', $body);
        } else {
            $this->send($id, '404 Not Found', 'text/plain', 'There is nothing here.');
        }
    }

    /** @param  list<string>  $headers */
    private function send(int $id, string $status, string $type, string $body, array $headers = []): void
    {
        $head = ["HTTP/1.1 {$status}", "Content-Type: {$type}", 'Content-Length: '.strlen($body), 'Connection: close', ...$headers];
        $this->clients[$id]['out'] .= implode("\r\n", $head)."\r\n\r\n".$body;
        $this->clients[$id]['close'] = true;
        $this->write($id);
    }

    private function write(int $id): void
    {
        if (! isset($this->clients[$id]) || $this->clients[$id]['out'] === '') {
            return;
        }
        $written = @fwrite($this->clients[$id]['socket'], $this->clients[$id]['out']);
        if ($written === false) {
            $this->drop($id);

            return;
        }
        $this->clients[$id]['out'] = substr($this->clients[$id]['out'], $written);
        if ($this->clients[$id]['out'] === '' && $this->clients[$id]['close']) {
            $this->drop($id);
        }
    }

    private function drop(int $id): void
    {
        if (isset($this->clients[$id])) {
            @fclose($this->clients[$id]['socket']);
            unset($this->clients[$id]);
        }
    }
}
