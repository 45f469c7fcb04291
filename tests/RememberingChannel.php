<?php

namespace Tests;

use App\Live\Channel;
use App\Live\ChannelDown;

/** Keeps what was published, or is down. */
final class RememberingChannel implements Channel
{
    /** @var list<array<string, mixed>> */
    public array $messages = [];

    public bool $isDown = false;

    public function publish(string $channel, array $message): void
    {
        if ($this->isDown) {
            throw new ChannelDown('down, as the test wants');
        }
        $this->messages[] = ['channel' => $channel, ...$message];
    }
}
