<?php

namespace App\Shows\Edits;

use App\Models\Medium;
use App\Models\NetworkCamera;
use App\Models\Show;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;
use Rhetorix\Core\Picture\TestPicture;
use Rhetorix\Core\Rig\Live\ClipEnd;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** What each kind of source has to be told, and only that. */
final class SourceSettings
{
    /** What a camera itself can be set to, as W3C Image Capture names it. */
    private const DEVICE_MODES = ['exposure_mode', 'white_balance_mode'];

    private const DEVICE_VALUES = ['exposure_time' => [0, 100_000], 'exposure_compensation' => [-20, 20], 'colour_temperature' => [1000, 40_000]];

    /** @return array<string, mixed> for a new source */
    public function first(Show $show, SourceKind $kind, Fields $given, string $name): array
    {
        return match ($kind) {
            SourceKind::Camera, SourceKind::Microphone => [
                'device' => $given->string('device', 200),
                'label' => $given->optionalString('label') ?? $name,
                ...$this->changed($kind, $given),
            ],
            SourceKind::Screen => ['detail' => 'sharp', ...$this->changed($kind, $given)],
            SourceKind::StandIn => ['stand_in' => $given->string('stand_in', 40)],
            SourceKind::Still => ['medium' => $this->medium($show, $given, 'still')->id],
            SourceKind::Deck => $this->deck($this->medium($show, $given, 'deck')),
            SourceKind::Clip => $this->clip($this->medium($show, $given, 'clip'), $given),
            SourceKind::NetworkCamera => $this->networkCamera($show, $given),
            SourceKind::Colour => ['colour' => $this->colour($given)],
            SourceKind::TestPicture => ['pattern' => $given->oneOf('pattern', TestPicture::class)->value],
            SourceKind::Phone, SourceKind::Guest => [],
        };
    }

    /** @return array<string, mixed> the parts that are given, for a source that is there */
    public function changed(SourceKind $kind, Fields $given): array
    {
        $changed = [];
        if ($kind === SourceKind::Camera) {
            foreach (['width' => 7680, 'height' => 4320, 'rate' => 120] as $name => $most) {
                $changed += $given->has($name) ? [$name => $given->integer($name, 1, $most)] : [];
            }
        }
        if ($kind === SourceKind::Camera) {
            foreach (self::DEVICE_MODES as $name) {
                $changed += $given->has($name) ? [$name => $given->string($name) === 'manual' ? 'manual' : 'continuous'] : [];
            }
            foreach (self::DEVICE_VALUES as $name => [$least, $most]) {
                $changed += $given->has($name) ? [$name => $given->number($name, $least, $most)] : [];
            }
        }
        if ($kind === SourceKind::Screen && $given->has('detail')) {
            $changed['detail'] = in_array($given->string('detail'), ['sharp', 'smooth'], true) ? $given->string('detail') : throw BadInput::notOneOf('detail', ['sharp', 'smooth']);
        }
        if ($kind === SourceKind::Clip) {
            $changed += $given->has('cue_ms') ? ['cue_ms' => $given->integer('cue_ms', 0, 86_400_000)] : [];
            $changed += $given->has('end') ? ['end' => $given->oneOf('end', ClipEnd::class)->value] : [];
        }
        if ($kind === SourceKind::Colour && $given->has('colour')) {
            $changed['colour'] = $this->colour($given);
        }
        if ($kind === SourceKind::TestPicture && $given->has('pattern')) {
            $changed['pattern'] = $given->oneOf('pattern', TestPicture::class)->value;
        }

        return $changed;
    }

    /** @return array{width?: int, height?: int} some tell their size before anybody has seen them */
    public function size(Show $show, SourceKind $kind, Fields $given): array
    {
        if (in_array($kind, [SourceKind::Still, SourceKind::Deck, SourceKind::Clip], true)) {
            $medium = $this->medium($show, $given, $kind->value);

            return $medium->width === null || $medium->height === null ? [] : ['width' => $medium->width, 'height' => $medium->height];
        }

        return in_array($kind, [SourceKind::TestPicture, SourceKind::Colour], true) ? ['width' => TestPicture::WIDTH, 'height' => TestPicture::HEIGHT] : [];
    }

    /** @return array<string, mixed> */
    private function deck(Medium $medium): array
    {
        return ['medium' => $medium->id, 'pages' => max(1, (int) $medium->pages)];
    }

    /** @return array<string, mixed> */
    private function clip(Medium $medium, Fields $given): array
    {
        return ['medium' => $medium->id, 'length_ms' => (int) $medium->length_ms, 'cue_ms' => 0, 'end' => ClipEnd::Hold->value, ...$this->changed(SourceKind::Clip, $given)];
    }

    /** @return array<string, mixed> */
    private function networkCamera(Show $show, Fields $given): array
    {
        $camera = $this->found($show->networkCameras(), $given->string('camera', 64))
            ?? throw new Refusal('This camera was not looked for yet. Give its address again.');

        return $camera instanceof NetworkCamera ? ['camera' => $camera->id, 'address' => $camera->address, 'label' => $camera->maker] : [];
    }

    private function medium(Show $show, Fields $given, string $kind): Medium
    {
        $medium = $this->found($show->media(), $given->string('medium', 64));

        return $medium instanceof Medium && $medium->kind === $kind ? $medium : throw new Refusal('This file was not brought to the show. Choose the file again.');
    }

    /** @param  HasMany<covariant Model, Show>  $rows */
    private function found(HasMany $rows, string $id): ?Model
    {
        return Str::isUuid($id) ? $rows->whereKey($id)->first() : null;
    }

    private function colour(Fields $given): string
    {
        $colour = strtolower($given->string('colour', 7));

        return preg_match('/^#[0-9a-f]{6}$/', $colour) === 1 ? $colour : throw BadInput::wrongKind('colour', 'a colour like #1f3350');
    }
}
