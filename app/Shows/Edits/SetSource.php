<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Rhetorix\Core\Rig\Hearing;
use Rhetorix\Core\Support\Fields;

/** source.set {source, settings?, hearing?, expect}: size and rate of a camera, sharp or smooth, cue and end of a clip, a colour. */
final class SetSource implements Edit
{
    use Finds;

    public function __construct(private readonly SourceSettings $settings)
    {
    }

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $source = $this->source($show, $fields);
        $changed = $fields->has('settings') ? $this->settings->changed($source->kind, $fields->object('settings')) : [];
        $source->update([
            'settings' => [...$source->settings, ...$changed],
            'hearing' => $fields->has('hearing') ? $fields->oneOf('hearing', Hearing::class) : $source->hearing,
            'changed_revision' => $revision,
        ]);
        $said = array_map(fn (string $name, mixed $value): string => str_replace('_ms', '', $name).' '.(is_scalar($value) ? $value : ''), array_keys($changed), $changed);

        return new EditResult('set', $source->id, implode(', ', $said));
    }
}
