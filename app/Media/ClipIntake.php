<?php

namespace App\Media;

use Illuminate\Support\Facades\Process;

/** Looks at a clip or music with ffprobe: whether browsers can play it, how large and how long it is. */
final class ClipIntake
{
    private const PICTURES = ['h264', 'vp8', 'vp9', 'av1', 'theora'];

    private const SOUNDS = ['aac', 'mp3', 'opus', 'vorbis', 'flac', 'pcm_s16le', 'pcm_s24le', 'pcm_f32le', 'pcm_u8'];

    /** Containers of ffprobe => type for the browser. */
    private const TYPES = ['matroska' => 'video/webm', 'mov' => 'video/mp4', 'ogg' => 'application/ogg', 'mp3' => 'audio/mpeg', 'wav' => 'audio/wav', 'flac' => 'audio/flac', 'aac' => 'audio/aac'];

    /**
     * @return array<string, mixed>
     *
     * @throws BadMedia
     */
    public function look(string $path, string $name, int $bytes): array
    {
        MediaIntake::mustNotExceed('clip', $bytes);
        $answer = Process::timeout(30)->run(['ffprobe', '-v', 'error', '-protocol_whitelist', 'file', '-show_format', '-show_streams', '-of', 'json', $path]);
        /** @var array{streams?: list<array<string, mixed>>, format?: array<string, mixed>}|null $found */
        $found = json_decode($answer->output(), true);
        $streams = $found['streams'] ?? [];
        $picture = $this->stream($streams, 'video');
        $sound = $this->stream($streams, 'audio');
        $type = $this->type($this->text($found['format'] ?? [], 'format_name'));
        if (! $answer->successful() || $type === null || ($picture === null && $sound === null)) {
            throw BadMedia::notKnown($name);
        }
        foreach ([[$picture, self::PICTURES], [$sound, self::SOUNDS]] as [$stream, $playable]) {
            $codec = $stream === null ? null : $this->text($stream, 'codec_name');
            if ($codec !== null && ! in_array($codec, $playable, true)) {
                throw BadMedia::cannotBePlayed($name, $codec);
            }
        }
        $seconds = (float) $this->text($found['format'] ?? [], 'duration');
        if ($seconds <= 0.0) {
            throw BadMedia::withoutLength($name);
        }

        return [
            'kind' => 'clip',
            'mime' => $picture === null && str_starts_with($type, 'video/') ? str_replace('video/', 'audio/', $type) : $type,
            'length_ms' => (int) round($seconds * 1000),
            ...$picture === null ? [] : $this->size($picture),
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $streams
     * @return ?array<string, mixed>
     */
    private function stream(array $streams, string $type): ?array
    {
        foreach ($streams as $stream) {
            $isCover = is_array($stream['disposition'] ?? null) && ($stream['disposition']['attached_pic'] ?? 0) === 1;
            if ($this->text($stream, 'codec_type') === $type && ! $isCover) {
                return $stream;
            }
        }

        return null;
    }

    /**
     * @param  array<string, mixed>  $picture
     * @return array{width: int, height: int}
     */
    private function size(array $picture): array
    {
        return ['width' => max(1, (int) $this->text($picture, 'width')), 'height' => max(1, (int) $this->text($picture, 'height'))];
    }

    private function type(string $formats): ?string
    {
        foreach (explode(',', $formats) as $format) {
            if (isset(self::TYPES[$format])) {
                return self::TYPES[$format];
            }
        }

        return null;
    }

    /** @param  array<string, mixed>  $values */
    private function text(array $values, string $name): string
    {
        return is_scalar($values[$name] ?? null) ? (string) $values[$name] : '';
    }
}
