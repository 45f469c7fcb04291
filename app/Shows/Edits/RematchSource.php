<?php

namespace App\Shows\Edits;

use App\Models\Show;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** source.rematch {source, device, label, expect}: a device came back under another identity, and a person said that it is this source. */
final class RematchSource implements Edit
{
    use Finds;

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $source = $this->source($show, $fields);
        $device = $fields->string('device', 200);
        if (! $source->kind->isDevice()) {
            throw new Refusal("“{$source->name}” is not a device of this computer and has no plug.");
        }
        $other = $show->sources()->where('kind', $source->kind)->whereNot('id', $source->id)->where('settings->device', $device)->first();
        if ($other !== null) {
            throw new Refusal("This device is “{$other->name}” already. One device is one source.");
        }
        $source->update([
            'settings' => [...$source->settings, 'device' => $device, 'label' => $fields->optionalString('label') ?? $source->setting('label')],
            'changed_revision' => $revision,
        ]);

        return new EditResult('rematched', $source->id, $source->name);
    }
}
