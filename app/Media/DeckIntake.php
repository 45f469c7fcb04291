<?php

namespace App\Media;

use Illuminate\Support\Facades\Process;

/** Looks at a PDF with poppler's pdfinfo: how many pages, which shape, and whether it can be opened at all. */
final class DeckIntake
{
    /** Pages are painted as large as a full picture; the first page gives the deck its shape. */
    private const LONGER_SIDE = 1920;

    /**
     * @return array<string, mixed>
     *
     * @throws BadMedia
     */
    public function look(string $path, string $name, int $bytes): array
    {
        MediaIntake::mustNotExceed('deck', $bytes);
        $answer = Process::timeout(20)->run(['pdfinfo', '-isodates', $path]);
        if (! $answer->successful()) {
            throw str_contains($answer->errorOutput(), 'Incorrect password') ? BadMedia::lockedDeck($name) : BadMedia::broken($name);
        }
        preg_match('/^Pages:\s+(\d+)/m', $answer->output(), $pages);
        preg_match('/^Page size:\s+([\d.]+) x ([\d.]+)/m', $answer->output(), $size);
        preg_match('/^Page rot:\s+(\d+)/m', $answer->output(), $turn);
        if (! isset($pages[1], $size[2]) || (int) $pages[1] < 1 || ! ((float) $size[1] > 0 && (float) $size[2] > 0)) {
            throw BadMedia::broken($name);
        }
        $most = config()->integer('rhetorix.media.most_pages');
        if ((int) $pages[1] > $most) {
            throw BadMedia::tooManyPages((int) $pages[1], $most);
        }
        [$width, $height] = ((int) ($turn[1] ?? 0)) % 180 === 0 ? [(float) $size[1], (float) $size[2]] : [(float) $size[2], (float) $size[1]];
        $scale = self::LONGER_SIDE / max($width, $height);

        return ['kind' => 'deck', 'mime' => 'application/pdf', 'width' => max(1, (int) round($width * $scale)), 'height' => max(1, (int) round($height * $scale)), 'pages' => (int) $pages[1]];
    }
}
