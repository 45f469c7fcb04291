<?php

namespace App\Guests;

use App\Live\Channel;
use App\Live\ChannelDown;
use App\Live\ShowChannel;
use App\Models\JoinLink;
use App\Models\Show;
use App\Models\SourceRow;
use Rhetorix\Core\Support\Refusal;

/** Brings a device that joins and the picture host together: it passes what both say until they see each other. */
final readonly class JoinDesk
{
    public function __construct(private ShowChannel $shows, private Channel $channel)
    {
    }

    /** @throws Refusal while another device has the place */
    public function keepPlace(JoinLink $link, string $device): void
    {
        if ($link->isTakenByOther($device)) {
            throw new Refusal('Another device has this place at the moment. Stop it there first, or ask for a link of your own.');
        }
        $link->update(['taken_by' => $device, 'taken_at' => now()]);
    }

    public function offer(JoinLink $link, string $device, string $sdp): void
    {
        $this->keepPlace($link, $device);
        $this->shows->tell(Show::query()->findOrFail($link->source->show_id), 'offer', ['source' => $link->source_id, 'device' => $device, 'sdp' => $this->whole($sdp)]);
    }

    public function answer(SourceRow $source, string $device, string $sdp): void
    {
        $link = $source->joinLink;
        if ($link !== null && $link->taken_by === $device) {
            $this->tell($link, ['type' => 'answer', 'device' => $device, 'sdp' => $this->whole($sdp)]);
        }
    }

    public function withdraw(Show $show, SourceRow $source): void
    {
        if ($source->joinLink !== null) {
            $this->tell($source->joinLink, ['type' => 'withdrawn']);
        }
        $this->shows->tell($show, 'withdrawn', ['source' => $source->id]);
        JoinLink::issue($source);
        $source->unsetRelation('joinLink');
    }

    /** Every line of a session description ends with CR LF, the last one too (RFC 8866); what comes in by a form has been trimmed. */
    private function whole(string $sdp): string
    {
        return rtrim($sdp)."\r\n";
    }

    /** @param  array<string, mixed>  $message */
    private function tell(JoinLink $link, array $message): void
    {
        try {
            $this->channel->publish("join-{$link->secret}", $message);
        } catch (ChannelDown) {
            // the device asks again by itself
        }
    }
}
