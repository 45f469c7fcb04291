{{-- What the computer that holds the devices can hold, and what to lower. --}}
@props(['show', 'forecast', 'feeds', 'mayOperate'])
<section id="budget" class="sheet mb-4 px-4 py-3" x-data="budget" hx-get="/shows/{{ $show->id }}/rig" hx-trigger="budget-measured from:body, show-changed from:body delay:400ms" hx-select="#budget" hx-ext="grow" hx-swap="grow" hx-disinherit="*" aria-label="What this computer holds" data-testid="budget" data-busy="{{ $forecast?->busy() }}">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 class="text-lg font-bold">What this computer holds</h2>
        @if ($forecast === null)
            <p>Not measured yet. It takes a few seconds, and the show goes on meanwhile.</p>
        @else
            @php($busy = $forecast->busy())
            <div class="relative h-4 w-56 overflow-hidden rounded-full border border-soft bg-paper" role="img" aria-label="Painter {{ round(100 * $busy) }} % busy"><div class="absolute inset-y-0 left-0 {{ $forecast->holds() ? 'bg-accent' : 'bg-sun' }}" style="width: {{ min(100, round(100 * $busy)) }}%"></div><i class="absolute inset-y-0 w-0.5 bg-ink" style="left: {{ 100 * \Rhetorix\Core\Budget\Forecast::HOLDS }}%"></i></div>
            <p data-testid="budget-said" class="{{ $forecast->holds() ? '' : 'font-semibold' }}">{{ $forecast->sentence() }}</p>
        @endif
        @if ($mayOperate)<button type="button" class="button ml-auto min-h-9" x-show="held" :disabled="busy" @click="measure()" x-text="busy ? `Measuring ${Math.round(share * 100)} %` : '{{ $forecast === null ? 'Measure' : 'Measure again' }}'" data-testid="budget-measure">Measure</button>@endif
    </div>
    @if ($forecast !== null)
        @php($advice = $forecast->advice())
        @if ($advice !== [])
            <ul class="mt-2 flex flex-wrap gap-2">
                @foreach ($advice as $step)<li>@if ($mayOperate)<button type="button" class="button min-h-9" @click="lower('{{ $step['source'] }}', {{ $step['width'] }}, {{ $step['height'] }})" data-testid="budget-lower">{{ $step['name'] }}: {{ $step['width'] }} × {{ $step['height'] }} saves {{ max(1, round(100 * $step['saves'])) }} %</button>@else{{ $step['name'] }}: {{ $step['width'] }} × {{ $step['height'] }} saves {{ max(1, round(100 * $step['saves'])) }} %@endif</li>@endforeach
            </ul>
        @elseif (! $forecast->holds())
            <p class="mt-1 text-soft">No camera of this computer can be made smaller: take a source off the rig, or close other programs.</p>
        @endif
        <details class="mt-1"><summary class="cursor-pointer text-sm font-semibold text-accent">What each source takes</summary>
            <ul class="mt-1 columns-2 text-sm sm:columns-3">
                @foreach ($feeds as $feed)<li class="flex justify-between gap-2"><span class="truncate">{{ $feed->name }}, {{ (int) $feed->size->width }} × {{ (int) $feed->size->height }}{{ $feed->looked ? ', with a look' : '' }}</span><span class="tabular-nums">{{ $feed->coded ? round(100 * $forecast->costOf($feed)).' %' : 'painted beside' }}</span></li>@endforeach
            </ul></details>
    @endif
</section>
