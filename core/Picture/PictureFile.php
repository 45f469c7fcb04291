<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\Layouts;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Support\BadInput;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/**
 * Layouts and pictures as an open file. Sources are named by what they are,
 * not by an id of one show, so that the file fits another show too.
 * The format is written down in docs/formats/pictures.md and pictures.schema.json.
 */
final class PictureFile
{
    public const FORMAT = 'rhetorix-pictures';

    public const VERSION = 1;

    public const MOST_PICTURES = 120;

    private const MOST_SOURCES = 60;

    /**
     * @param  list<Picture>  $pictures
     * @param  array<string, Source>  $sources  by id
     * @return array<string, mixed>
     */
    public static function write(Size $canvas, array $pictures, array $sources): array
    {
        $used = [];
        foreach ($pictures as $picture) {
            foreach ($picture->fills as $id) {
                $used[$id] ??= isset($sources[$id]) ? 's'.(count($used) + 1) : null;
            }
        }
        $used = array_filter($used);

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'canvas' => $canvas->toArray(),
            'sources' => array_map(fn (string $id, string $ref): array => ['ref' => $ref, 'name' => $sources[$id]->name, 'kind' => $sources[$id]->kind->value], array_keys($used), $used),
            'pictures' => array_map(fn (Picture $picture): array => [
                'name' => $picture->name,
                'group' => $picture->group->value,
                ...($picture->key === null ? [] : ['key' => $picture->key]),
                'layout' => $picture->layout->toArray(),
                'fills' => (object) array_filter(array_map(fn (string $id): ?string => $used[$id] ?? null, $picture->fills)),
            ], $pictures),
        ];
    }

    /**
     * @param  array<string, Source>  $sources  of the show that it is read into, by id
     * @return array{pictures: list<Picture>, missing: list<string>} pictures without ids; names of sources that are not there, whose places stay empty
     *
     * @throws Refusal that names what is wrong by its path
     */
    public static function read(mixed $data, array $sources): array
    {
        $file = Fields::of($data, 'file');
        if (! $file->has('format') || $file->all()['format'] !== self::FORMAT) {
            throw new Refusal('This file holds no pictures. Choose a JSON file whose “format” is “'.self::FORMAT.'”.');
        }
        if ($file->integer('version', 1, 1_000_000) !== self::VERSION) {
            throw new Refusal("This file is of version {$file->integer('version', 1, 1_000_000)}; only version ".self::VERSION.' can be read here. Save it again with the program that it comes from, in that version.');
        }
        $file->only(['format', 'version', 'canvas', 'sources', 'pictures']);
        $canvas = $file->object('canvas')->only(['width', 'height']);
        new Size($canvas->number('width', 16, 8192), $canvas->number('height', 16, 8192));
        [$ids, $missing] = self::sources($file, $sources);

        return [
            'pictures' => array_map(fn (Fields $picture): Picture => self::picture($picture, $ids), $file->each('pictures', self::MOST_PICTURES, 'pictures')),
            'missing' => $missing,
        ];
    }

    /**
     * @param  array<string, Source>  $sources
     * @return array{array<string, ?string>, list<string>} id by the name in the file; those that are not there
     */
    private static function sources(Fields $file, array $sources): array
    {
        [$ids, $missing] = [[], []];
        foreach ($file->each('sources', self::MOST_SOURCES, 'sources') as $source) {
            $source->only(['ref', 'name', 'kind']);
            [$name, $kind] = [$source->string('name', 80), $source->string('kind', 40)];
            $same = array_filter($sources, fn (Source $known): bool => $known->name === $name && $known->hasPicture());
            $ofKind = array_filter($same, fn (Source $known): bool => $known->kind->value === $kind);
            $id = array_key_first($ofKind) ?? array_key_first($same);
            $ids[$source->string('ref', 40)] = $id;
            if ($id === null) {
                $missing[] = $name;
            }
        }

        return [$ids, $missing];
    }

    /** @param  array<string, ?string>  $ids */
    private static function picture(Fields $picture, array $ids): Picture
    {
        $picture->only(['name', 'group', 'key', 'layout', 'fills']);
        $layout = Layouts::fromFields($picture->object('layout'));
        $filled = $picture->object('fills')->only($layout->slots());
        $fills = [];
        foreach (array_keys($filled->all()) as $slot) {
            $ref = $filled->string((string) $slot, 40);
            if (! array_key_exists($ref, $ids)) {
                throw BadInput::notOneOf("{$filled->path()}.{$slot}", array_keys($ids));
            }
            if ($ids[$ref] !== null) {
                $fills[(string) $slot] = $ids[$ref];
            }
        }

        return new Picture('', trim($picture->string('name', 80)), $picture->oneOf('group', Group::class), $layout, $fills, $picture->has('key') ? $picture->string('key', 1) : null);
    }
}
