<?php

namespace App\Shows\Edits;

use App\Models\DeskRow;
use App\Models\Show;
use App\Models\SourceRow;
use Illuminate\Support\Str;
use Rhetorix\Core\Rig\SourceKind;
use Rhetorix\Core\Support\Fields;
use Rhetorix\Core\Support\Refusal;

/** source.link {source, to: source id or "none", expect}: a deck is turned together with another one, or by itself again. */
final class LinkDeck implements Edit
{
    use Finds;

    public function apply(Show $show, Fields $fields, int $revision): EditResult
    {
        $deck = $this->source($show, $fields);
        $this->mustBeDeck($deck);
        $to = $fields->string('to', 64);
        $partner = Str::isUuid($to) ? $show->sources()->find($to) : null;
        if ($partner instanceof SourceRow) {
            $this->mustBeDeck($partner);
        } elseif ($to !== 'none') {
            throw new Refusal('The other deck is not in the show any more.');
        }
        $desk = DeskRow::query()->findOrFail($show->id)->toDesk();
        $stands = $desk->handlings->position($deck->setting('group') ?? $deck->id);
        $group = $partner?->setting('group') ?? $partner->id ?? (string) Str::uuid7();
        if ($partner instanceof SourceRow) {
            $partner->update(['settings' => [...$partner->settings, 'group' => $group]]);
        }
        $deck->update(['settings' => [...$deck->settings, 'group' => $group], 'changed_revision' => $revision]);

        return new EditResult('linked', $deck->id, $partner === null ? "{$deck->name} by itself" : "{$deck->name} with {$partner->name}", turns: $partner === null ? [$group => $stands] : []);
    }

    private function mustBeDeck(SourceRow $source): void
    {
        if ($source->kind !== SourceKind::Deck) {
            throw new Refusal("“{$source->name}” has no pages. Only decks can be turned together.");
        }
    }
}
