<?php

namespace App\Live;

use App\Models\Show;
use Psr\Log\LoggerInterface;

/** Tells the screens of a show what has changed. */
final readonly class ShowChannel
{
    public function __construct(private Channel $channel, private LoggerInterface $log)
    {
    }

    /**
     * A screen that missed a message sees the gap in the revisions and asks
     * for the state, so a channel that is down must not fail the command.
     *
     * @param  array<string, mixed>  $message
     */
    public function tell(Show $show, string $type, array $message): void
    {
        try {
            $this->channel->publish($show->id, ['type' => $type, ...$message]);
        } catch (ChannelDown $down) {
            $this->log->error($down->getMessage(), ['show' => $show->id]);
        }
    }
}
