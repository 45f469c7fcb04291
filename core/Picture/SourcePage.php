<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Rig\Live\Framing;
use Rhetorix\Core\Rig\Live\Handling;
use Rhetorix\Core\Rig\Live\LinkedDecks;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Switching\Transition\Transition;

/** What a desk needs to know of one source, as data of the plan book. */
final class SourcePage
{
    /**
     * @param  array<string, LinkedDecks>  $decks  by group
     * @return array<string, mixed>
     */
    public static function of(Source $source, array $decks, Handling $handling): array
    {
        return [
            'name' => $source->name,
            'kind' => $source->kind->value,
            'hearing' => $source->hearing->value,
            'portrait' => $source->isPortrait(),
            'moving' => $source->kind->isMoving(),
            'watched' => $source->kind->isWatched(),
            // all of it as it is framed, for a look at the source itself
            'seen' => self::seen($handling->framing),
            'look' => $handling->look(),
            ...self::cards($source),
            'deck' => $source->deck === null ? null : [
                'group' => $source->deck->group,
                'pages' => $source->deck->pages,
                'shows' => ($decks[$source->deck->group] ?? null)?->pagesOf($source->id) ?? [],
            ],
            'clip' => $source->clip === null ? null : [...$source->clip->toArray(), 'covers_ms' => Transition::coveredBy($source->clip->length)->count],
            'art' => self::art($source),
        ];
    }

    /** @return array{crop: array<string, float>, turn: int, mirror: bool} */
    public static function seen(Framing $framing): array
    {
        return [
            'crop' => $framing->toSource(Crop::whole())->toArray(),
            'turn' => $framing->orientation->quarterTurns(),
            'mirror' => $framing->orientation->isMirrored(),
        ];
    }

    /** @return array{placeholder: ?array<string, mixed>, blank: ?array<string, mixed>} */
    private static function cards(Source $source): array
    {
        if (! $source->hasPicture()) {
            return ['placeholder' => null, 'blank' => null];
        }
        $size = $source->layoutSize();
        $notYet = $source->kind === SourceKind::Guest || ($source->kind === SourceKind::Phone && $source->size === null);

        return [
            'placeholder' => ($notYet ? Card::waitingFor($source->name, $size) : Card::placeholder($source->name, $size))->toArray(),
            'blank' => Card::blank($source->name, $size)->toArray(),
        ];
    }

    /** @return ?array{width: float, height: float, patches: list<array<string, mixed>>} */
    private static function art(Source $source): ?array
    {
        $patches = match ($source->kind) {
            SourceKind::Colour => [new Patch(0, 0, TestPicture::WIDTH, TestPicture::HEIGHT, $source->art ?? '#000000')],
            SourceKind::TestPicture => (TestPicture::tryFrom($source->art ?? '') ?? TestPicture::BarsHd)->patches(),
            default => null,
        };

        return $patches === null ? null : [
            ...TestPicture::size()->toArray(),
            'patches' => array_map(fn (Patch $patch): array => $patch->toArray(), $patches),
        ];
    }
}
