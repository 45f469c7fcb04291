<?php

declare(strict_types=1);

namespace Rhetorix\Core\Picture;

use Rhetorix\Core\Geometry\Crop;
use Rhetorix\Core\Geometry\Fit;
use Rhetorix\Core\Geometry\Orientation;
use Rhetorix\Core\Geometry\Size;
use Rhetorix\Core\Layout\FullLayout;
use Rhetorix\Core\LineUp\Health\Thresholds;
use Rhetorix\Core\Rig\DeviceProblem;
use Rhetorix\Core\Rig\Live\Handling;
use Rhetorix\Core\Rig\Live\Handlings;
use Rhetorix\Core\Rig\Live\LinkedDecks;
use Rhetorix\Core\Rig\Live\Magnify;
use Rhetorix\Core\Rig\SignalTimes;
use Rhetorix\Core\Rig\Source;
use Rhetorix\Core\Sound\MainMix;
use Rhetorix\Core\Sound\MeterScale;
use Rhetorix\Core\Switching\Desk;
use Rhetorix\Core\Switching\Inset\Inset;
use Rhetorix\Core\Switching\Rules\Registers;
use Rhetorix\Core\Switching\Rules\Rulebook;
use Rhetorix\Core\Switching\Rules\Showing;
use Rhetorix\Core\Switching\Transition\TransitionKind;
use Rhetorix\Core\Switching\Transition\TransitionPlan;

/**
 * All that a desk needs to paint and to switch without asking: the ready plan
 * of every picture, the transitions, the rules, and what to do when a signal
 * is lost.
 */
final class PlanBook
{
    /** @var array<string, FramePlan> */
    private array $plans = [];

    /**
     * @param  array<string, Source>  $sources  by id
     * @param  array<string, Picture>  $pictures  by id, in the order of the desk
     */
    private function __construct(
        private readonly Canvas $canvas,
        private readonly string $show,
        private readonly array $sources,
        private readonly array $pictures,
        private readonly Handlings $handlings,
    ) {
    }

    /**
     * @param  list<Source>  $sources
     * @param  list<Picture>  $pictures
     */
    public static function of(Canvas $canvas, string $show, array $sources, array $pictures): self
    {
        return new self($canvas, $show, array_column($sources, null, 'id'), array_column($pictures, null, 'id'), Handlings::none());
    }

    /** The same book with sources framed as they were handled on the desk. */
    public function handled(Handlings $handlings): self
    {
        return new self($this->canvas, $this->show, $this->sources, $this->pictures, $handlings);
    }

    public function has(string $picture): bool
    {
        return $picture === Desk::HOLDING || isset($this->pictures[$picture]);
    }

    /** The plan of a picture; the holding card for one that is not there. */
    public function planOf(string $picture): FramePlan
    {
        return $this->plans[$picture] ??= $this->compose($picture);
    }

    /** @return list<string> sources that sound while this picture is on program */
    public function heardWith(string $picture): array
    {
        return MainMix::heardWith($this->planOf($picture)->visibleSources(), $this->sources);
    }

    /** @return list<string> sources that sound while the inset shows this one */
    public function heardInInset(string $source): array
    {
        return isset($this->sources[$source]) ? MainMix::heardWith([$source], $this->sources) : [];
    }

    /** @return array<string, array{plan: array<string, mixed>, heard: list<string>}> what the inset shows of a source, by its id */
    public function insetPage(string $source): array
    {
        $shown = isset($this->sources[$source]) ? $this->inInset($this->sources[$source]) : null;

        return $shown === null ? [] : [$source => $shown];
    }

    /**
     * Whom the inset shows: who was chosen, while there is a picture of them;
     * else the first person on the desk, else the first source with a picture.
     */
    public function insetSource(?string $chosen = null): ?string
    {
        $shown = array_keys(array_filter($this->sources, fn (Source $source): bool => $source->hasPicture()));
        $people = array_filter($this->pictures, fn (Picture $picture): bool => $picture->group === Group::People);
        $candidates = [$chosen, ...array_merge(...array_map(fn (Picture $picture): array => $this->planOf($picture->id)->visibleSources(), array_values($people)))];

        return array_values(array_intersect($candidates, $shown))[0] ?? $shown[0] ?? null;
    }

    public function size(): Size
    {
        return $this->canvas->size;
    }

    /** @return array<string, Source> by id */
    public function sources(): array
    {
        return $this->sources;
    }

    /** @return array{sources: array<string, array<string, mixed>>, ...<string, mixed>} */
    public function toArray(): array
    {
        $transitions = [];
        foreach (TransitionKind::cases() as $kind) {
            $transitions[$kind->value] = ['label' => $kind->label(), 'smil' => $kind->smil(), ...TransitionPlan::of($kind)->toArray()];
        }

        return [
            'canvas' => $this->canvas->toArray(),
            'pictures' => [
                Desk::HOLDING => $this->page(Desk::HOLDING, 'Holding card', Group::Waiting, KeyPlaces::HOLDING),
                ...array_map($this->pageOf(...), $this->pictures),
            ],
            'sources' => array_map(fn (Source $source): array => SourcePage::of($source, $this->decks(), $this->handlings->of($source->id)), $this->sources),
            'transitions' => $transitions,
            'rules' => Rulebook::standard()->toArray(),
            'hold_ms' => Registers::HOLD_MS,
            'near' => Registers::NEAR,
            'past' => Desk::PAST,
            'inset' => [...Inset::toolOf($this->canvas->size), 'first' => $this->insetSource(), 'shows' => array_filter(array_map($this->inInset(...), $this->sources))],
            'showing' => array_map(fn (Showing $showing): array => $showing->toArray(), Showing::all()),
            'handling' => [
                'orientations' => Orientation::table(),
                'magnify' => Magnify::STEPS,
            ],
            'signal' => [...SignalTimes::toArray(), 'sample' => Thresholds::toArray()],
            'sound' => ['declick_ms' => MainMix::DECLICK_MS, 'meter' => MeterScale::toArray()],
            'problems' => DeviceProblem::toArray(),
        ];
    }

    /** @return ?array{plan: array<string, mixed>, heard: list<string>} a source alone, filling the canvas: what the inset shows of it */
    private function inInset(Source $source): ?array
    {
        if (! $source->hasPicture()) {
            return null;
        }
        $plan = (new Composer($this->canvas, $this->sources, $this->handlings))->compose(new Picture("inset {$source->id}", '', Group::People, new FullLayout(Fit::Cover), ['large' => $source->id]));

        return ['plan' => $plan->toArray(), 'heard' => $this->heardInInset($source->id)];
    }

    /**
     * The pages of the pictures that show a source, when only its framing has changed.
     *
     * @return array<string, array<string, mixed>> by id
     */
    public function pagesWith(string $source): array
    {
        return array_map($this->pageOf(...), array_filter($this->pictures, fn (Picture $picture): bool => $picture->uses($source) || $this->standsBehind($source, $picture)));
    }

    private function standsBehind(string $source, Picture $picture): bool
    {
        return array_filter($picture->fills, fn (string $fill): bool => $this->handlings->of($fill)->behind()->source === $source) !== [];
    }

    /** @return array<string, array<string, mixed>> the page of a source, by its id */
    public function sourcePage(string $source): array
    {
        return isset($this->sources[$source])
            ? [$source => SourcePage::of($this->sources[$source], $this->decks(), $this->handlings->of($source))]
            : [];
    }

    /**
     * A source alone, as it would be if it were handled otherwise.
     *
     * @return array{plan: array<string, mixed>, seen: array<string, mixed>, look: ?array<string, mixed>, handling: array<string, mixed>, edges: array<string, int>, key_edges: array<string, int>}
     */
    public function tried(string $source, Handling $handling): array
    {
        $size = $this->sources[$source]->layoutSize();
        $alone = new Picture('alone', '', Group::Material, new FullLayout(), ['large' => $source]);

        return [
            'plan' => (new Composer($this->canvas, $this->sources, $this->handlings->with($source, $handling)))->compose($alone)->toArray(),
            'seen' => SourcePage::seen($handling->framing),
            'look' => $handling->look(),
            'handling' => $handling->toArray(),
            'edges' => $handling->framing->edges($size),
            'key_edges' => $handling->framing->edgesOf($handling->key->inside ?? Crop::whole(), $size),
        ];
    }

    /** The decks that are turned together with a group's name. */
    public function linkedDecks(string $group): ?LinkedDecks
    {
        return $this->decks()[$group] ?? null;
    }

    /** @return array<string, LinkedDecks> by group */
    private function decks(): array
    {
        $pages = [];
        foreach ($this->sources as $source) {
            if ($source->deck !== null) {
                $pages[$source->deck->group][$source->id] = $source->deck->pages;
            }
        }

        return array_map(fn (array $group): LinkedDecks => new LinkedDecks($group), $pages);
    }

    /** @return array<string, mixed> */
    private function pageOf(Picture $picture): array
    {
        return [...$this->page($picture->id, $picture->name, $picture->group, $picture->key), 'places' => $picture->places($this->canvas->size), 'comes' => $picture->comes?->toArray()];
    }

    /** @return array<string, mixed> */
    private function page(string $id, string $name, Group $group, ?string $key): array
    {
        $plan = $this->planOf($id);

        return [
            'name' => $name,
            'group' => $group->value,
            'key' => $key,
            'plan' => $plan->toArray(),
            'visible' => $plan->visibleSources(),
            'heard' => $this->heardWith($id),
            'places' => [],
            'comes' => null,
        ];
    }

    private function compose(string $picture): FramePlan
    {
        $composer = new Composer($this->canvas, $this->sources, $this->handlings);

        return isset($this->pictures[$picture])
            ? $composer->compose($this->pictures[$picture])
            : $composer->holding($this->show);
    }
}
