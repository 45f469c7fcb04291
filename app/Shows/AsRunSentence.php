<?php

namespace App\Shows;

use App\Models\Show;
use Rhetorix\Core\Rig\SourceKind;

/** Says an event of the as-run list as a person would. */
final class AsRunSentence
{
    /** @var array<string, string> id => name */
    private array $names = [];

    public function prepare(Show $show): void
    {
        $groups = [];
        /** @var array<string, string> $names */
        $names = [
            ...$show->allPictures()->pluck('name', 'id')->all(),
            ...$show->sources()->pluck('name', 'id')->all(),
            'holding' => 'Holding card',
        ];
        foreach ($show->sources()->where('kind', SourceKind::Deck)->get() as $deck) {
            $group = $deck->setting('group') ?? $deck->id;
            $names[$group] = isset($groups[$group]) ? "{$groups[$group]} + {$deck->name}" : $deck->name;
            $groups[$group] = $names[$group];
        }
        $this->names = $names;
    }

    /** @param  array{at: int, what: string, subject: ?string, detail: ?string}  $event */
    public function of(array $event): string
    {
        $detail = $event['detail'] ?? '';
        $name = $this->names[$event['subject'] ?? ''] ?? ($detail !== '' ? $detail : 'a picture that was deleted');

        return match ($event['what']) {
            'arm' => "Next: {$name}",
            'cut' => "Cut to {$name}",
            'transition' => "{$detail} to {$name}",
            'arrived' => "{$name} is alone on program",
            'waits' => "{$name} waits for the end of the transition",
            'goes-on' => "{$name} goes on coming; nothing follows it",
            'by-hand' => "{$detail} to {$name} by hand",
            'goes-back' => "Back to {$name}",
            'came-back' => "{$name} is alone on program again",
            'inset' => match ($detail) {
                'over' => "Inset on: {$name}", 'full' => "Only {$name}", default => 'Inset off'
            },
            'inset-source' => "Inset shows {$name}",
            'inset-place' => 'Inset moved',
            'favourites' => "Transitions to hand: {$detail}",
            'cover' => 'Covered: holding card on program, sound closed',
            'uncover' => 'Uncovered',
            'forget' => 'Preview is empty: its picture was deleted',
            'choose' => "Transition: {$detail}",
            'sound' => "Sound of {$name}: {$detail}",
            'handle' => "{$name}: {$detail}",
            'page' => "{$name}: page {$detail}",
            'set' => "{$name} set: {$detail}",
            'quality' => $detail,
            'rematched' => "{$name} was matched with its device again",
            'linked' => "Decks: {$detail}",
            'connected' => "Connected {$detail}",
            'renamed' => "A source is now called {$detail}",
            'measured' => "{$name} delivers {$detail}",
            'removed' => "Removed {$detail} from the rig",
            'made' => "Made the picture {$detail}",
            'changed' => "Changed the picture {$detail}",
            'filled', 'placed', 'brought' => $detail,
            'deleted' => "Deleted the picture {$detail}",
            default => $event['what'],
        };
    }

    /** Whether the audience saw or heard it. */
    public function isOnAir(string $what): bool
    {
        return in_array($what, ['cut', 'transition', 'by-hand', 'goes-back', 'inset', 'cover', 'uncover'], true);
    }
}
