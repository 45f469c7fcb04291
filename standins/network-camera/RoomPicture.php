<?php

declare(strict_types=1);

namespace StandIns\NetworkCamera;

use GdImage;

/**
 * A village hall, painted once and larger than any view of it: a bench with
 * stones in the middle, a display wall at each side, rows of seats in front.
 * Each view is cut from it, and what moves is painted into the view.
 */
final class RoomPicture
{
    public const WIDTH = 2880;

    public const HEIGHT = 1620;

    private const VIEW = [640, 360];

    private const FONT = '/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf';

    private GdImage $room;

    /** The view without what moves, for as long as the camera rests. */
    private ?GdImage $still = null;

    private string $lookedAt = '';

    /** @var list<array{int, int, int, int, int}> x, y, size, colour of the jumper, phase */
    private array $people = [];

    public function __construct()
    {
        // Painted twice as large and made smaller, so that edges are smooth.
        $large = $this->image(2 * self::WIDTH, 2 * self::HEIGHT);
        $this->paintRoom($large);
        $this->room = $this->image(self::WIDTH, self::HEIGHT);
        imagecopyresampled($this->room, $large, 0, 0, 0, 0, self::WIDTH, self::HEIGHT, 2 * self::WIDTH, 2 * self::HEIGHT);
        imagedestroy($large);
        $jumpers = [0x5B4A7D, 0x3E6B73, 0x8C4A3B, 0x49623C, 0x2F4A6D, 0x7A5A2E, 0x6B3F5C];
        for ($row = 0; $row < 2; $row++) {
            for ($i = 0; $i < 9; $i++) {
                if (($i * 7 + $row * 3) % 5 !== 4) {
                    $this->people[] = [380 + $i * 265 + $row * 120, 1290 + $row * 190, 74 + 16 * $row, $jumpers[($i * 3 + $row) % 7], $i * 5 + $row];
                }
            }
        }
    }

    /**
     * @param  array<string, float>  $position  pan, tilt, zoom
     * @return string a JPEG
     */
    public function view(array $position, float $seconds, int $frame): string
    {
        [$width, $height] = self::VIEW;
        $share = 0.62 * (0.18 / 0.62) ** $position['zoom'];
        $w = self::WIDTH * $share;
        $h = $w * $height / $width;
        $x = (self::WIDTH - $w) * (1 + $position['pan']) / 2;
        $y = (self::HEIGHT - $h) * (1 - $position['tilt']) / 2;
        $view = $this->cut([(int) round($x), (int) round($y), (int) round($w), (int) round($h)]);
        $this->paintMoving(new Pen($view, $x, $y, $width / $w), $seconds);
        $this->paintFrameMark($view, $frame);
        ob_start();
        imagejpeg($view, null, 78);
        imagedestroy($view);

        return (string) ob_get_clean();
    }

    /**
     * Quickly while the camera moves; finely, and only once, when it rests.
     *
     * @param  array{int, int, int, int}  $part  of the room
     */
    private function cut(array $part): GdImage
    {
        [$width, $height] = self::VIEW;
        $view = $this->image($width, $height);
        $at = implode(' ', $part);
        if ($this->lookedAt !== $at) {
            $this->lookedAt = $at;
            $this->still = null;
            imagecopyresized($view, $this->room, 0, 0, $part[0], $part[1], $width, $height, $part[2], $part[3]);

            return $view;
        }
        if ($this->still === null) {
            $this->still = $this->image($width, $height);
            imagecopyresampled($this->still, $this->room, 0, 0, $part[0], $part[1], $width, $height, $part[2], $part[3]);
        }
        imagecopy($view, $this->still, 0, 0, 0, 0, $width, $height);

        return $view;
    }

    private function paintMoving(Pen $pen, float $seconds): void
    {
        // the clock over the bench
        $angle = 2 * M_PI * fmod($seconds, 60) / 60;
        $pen->line(1440, 210, 1440 + 62 * sin($angle), 210 - 62 * cos($angle), 6, 0xA33A2E);
        // somebody at the bench puts stones from place to place
        $sway = 40 * sin($seconds * 0.6);
        $hand = 130 * sin($seconds * 0.9);
        $pen->dot(1440 + $sway, 640, 190, 260, 0x46636B);
        $pen->dot(1440 + $sway, 500, 118, 142, 0xB98563);
        $pen->dot(1440 + $sway, 452, 124, 78, 0x4A3527);
        $pen->line(1370 + $sway, 620, 1380 + $hand, 800, 54, 0x46636B);
        $pen->dot(1380 + $hand, 812, 52, 46, 0xB98563);
        $pen->dot(1384 + $hand, 846, 40, 30, 0xD8A657);
        $pen->rect(1090, 872, 700, 130, 0x8A6A48);
        // those who listen
        foreach ($this->people as [$x, $y, $size, $jumper, $phase]) {
            $nod = 6 * sin($seconds * (0.7 + $phase % 3 * 0.2) + $phase);
            $pen->dot($x + $nod / 2, $y + $size * 1.5, $size * 2.3, $size * 2.2, $jumper);
            $pen->dot($x + $nod, $y, $size * 1.15, $size * 1.4, $phase % 3 === 0 ? 0x8D5F43 : 0xC79472);
            $pen->dot($x + $nod, $y - $size * 0.28, $size * 1.2, $size, [0x3C2A22, 0x6A4B2F, 0x8B8680, 0x1F1B1A][$phase % 4]);
            if ($phase % 7 === 3 && fmod($seconds + $phase, 23) < 5) {
                $pen->line($x + $size, $y + $size, $x + $size * 1.1, $y - $size * 1.3, (int) ($size * 0.42), $jumper);
                $pen->dot($x + $size * 1.1, $y - $size * 1.4, $size * 0.5, $size * 0.5, 0xC79472);
            }
        }
    }

    private function paintRoom(GdImage $large): void
    {
        $pen = new Pen($large, 0, 0, 2);
        $pen->rect(0, 0, self::WIDTH, 1010, 0xDCD2BD);
        for ($y = 0; $y < 1010; $y += 6) {
            $pen->rect(0, $y, self::WIDTH, 6, $this->shade(0xE4DBC8, -$y / 40));
        }
        $pen->rect(0, 930, self::WIDTH, 16, 0x9A7B58);
        for ($y = 946; $y < self::HEIGHT; $y += 6) {
            $pen->rect(0, $y, self::WIDTH, 6, $this->shade(0xA5815B, ($y - 1200) / 22));
        }
        for ($x = -1200; $x < self::WIDTH + 1200; $x += 170) {
            $pen->line(1440 + ($x - 1440) * 0.72, 946, $x, self::HEIGHT, 3, 0x86663F);
        }
        $this->window($pen, 1010);
        $this->window($pen, 1690);
        $pen->dot(1440, 210, 176, 176, 0x6B4A2F);
        $pen->dot(1440, 210, 154, 154, 0xFBF8F1);
        for ($i = 0; $i < 12; $i++) {
            $pen->dot(1440 + 62 * sin($i * M_PI / 6), 210 - 62 * cos($i * M_PI / 6), 8, 8, 0x26364D);
        }
        $this->wall($pen, 130, 'Hardness', ['1 talc', '2 gypsum', '3 calcite', '4 fluorite', '5 apatite', '6 feldspar', '7 quartz', '8 topaz']);
        $this->wall($pen, 2030, 'Lustre', ['metallic', 'glassy', 'pearly', 'silky', 'resinous', 'waxy', 'earthy', 'dull']);
        $pen->rect(1060, 990, 760, 200, 0x76563A);
        $pen->rect(1040, 850, 800, 150, 0x8A6A48);
        foreach ([0x8B6F9C, 0xE8E2D5, 0xB7653A, 0x55616E, 0x7FB4C0, 0xD8A657] as $i => $colour) {
            $pen->stone(1120 + $i * 120, 842, 38, $colour, $this->shade($colour, -40));
        }
        for ($row = 0; $row < 2; $row++) {
            for ($i = 0; $i < 9; $i++) {
                $pen->rect(295 + $i * 265 + $row * 120, 1350 + $row * 190, 170, 150, 0x5D4632);
            }
        }
    }

    private function window(Pen $pen, int $x): void
    {
        $pen->rect($x, 250, 180, 420, 0xF3EEE0);
        $pen->rect($x + 12, 262, 156, 396, 0xAFC9D6);
        $pen->rect($x + 84, 262, 12, 396, 0xF3EEE0);
        $pen->rect($x + 12, 450, 156, 12, 0xF3EEE0);
    }

    /** @param  list<string>  $words */
    private function wall(Pen $pen, int $x, string $title, array $words): void
    {
        $pen->rect($x - 14, 226, 748, 608, 0x6B4A2F);
        $pen->rect($x, 240, 720, 580, 0xFBF8F1);
        $pen->text($x + 40, 330, 54, 0x26364D, $title, self::FONT);
        $pen->rect($x + 40, 352, 90, 6, 0xD8A657);
        foreach ($words as $i => $word) {
            [$column, $row] = [$i % 4, intdiv($i, 4)];
            $colour = [0xD9D4CB, 0xE9DFC4, 0xC7D7C0, 0x9FB6D2, 0x8FB7A6, 0xD9A9A0, 0xE6DCEB, 0xC9B27A][$i];
            $pen->stone($x + 100 + $column * 172, 470 + $row * 190, 56, $colour, $this->shade($colour, -50));
            $pen->text($x + 40 + $column * 172, 562 + $row * 190, 24, 0x26364D, $word, self::FONT);
        }
    }

    /** Name and running number: the same mark as the other stand-ins have. */
    private function paintFrameMark(GdImage $view, int $frame): void
    {
        [$width, $height] = self::VIEW;
        $pen = new Pen($view, 0, 0, 1);
        $left = $width - 12 - 96;
        $top = $height - 20;
        $pen->rect($left - 120, $top - 10, 228, 30, 0x10151C);
        $pen->text($left - 112, $top + 9, 10, 0xE9E4D8, 'Room '.($frame % 10_000), self::FONT);
        for ($bit = 0; $bit < 12; $bit++) {
            $pen->rect($left + $bit * 8, $top, 8, 8, ($frame >> $bit) & 1 ? 0xFFFFFF : 0x000000);
        }
    }

    private function shade(int $colour, float $by): int
    {
        $part = fn (int $shift): int => max(0, min(255, (int) ((($colour >> $shift) & 255) + $by))) << $shift;

        return $part(16) | $part(8) | $part(0);
    }

    private function image(int $width, int $height): GdImage
    {
        return imagecreatetruecolor(max(1, $width), max(1, $height)) ?: throw new \RuntimeException('GD gave no image.');
    }
}
