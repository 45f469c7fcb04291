<?php

namespace App\Live;

/** Carries messages to every screen that listens to a show. */
interface Channel
{
    /**
     * @param  array<string, mixed>  $message
     *
     * @throws ChannelDown
     */
    public function publish(string $channel, array $message): void;
}
