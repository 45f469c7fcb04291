@extends('show')
@section('title', $show->name)

@section('content')
<main class="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 lg:h-[calc(100vh-3rem)] lg:grid-cols-[minmax(0,1.06fr)_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)_auto]" data-desk>
    <h1 class="sr-only">Desk of {{ $show->name }}</h1>

    <section class="flex min-h-0 flex-col" aria-label="Program and preview">
        <div class="flex items-end justify-between">
            <h2 class="tab-on-air">On air</h2>
            <p class="truncate pb-0.5 pl-3 font-semibold"><span data-program-name></span> <span class="font-normal text-soft" data-beneath></span></p>
        </div>
        <div class="on-air -mt-px mx-auto aspect-video w-full" data-program-slot></div>

        <div class="mt-2 flex min-h-0 flex-1 gap-3 max-lg:flex-wrap lg:[container-type:size]">
            <div class="min-w-0 max-lg:basis-full lg:w-[calc((100cqh-1.7rem)*16/9)]">
                <div class="flex items-end justify-between">
                    <h2 class="tab-next">Next</h2>
                    <p class="truncate pb-0.5 pl-3 font-semibold" data-preview-name></p>
                </div>
                <div class="next-up -mt-px aspect-video w-full"><canvas data-testid="preview" data-view="preview" width="640" height="360" class="block h-full w-full" role="img" aria-label="Preview"></canvas></div>
            </div>
            <div class="rail mt-6 self-stretch max-lg:hidden" data-rail data-moving="no" aria-hidden="true"><svg viewBox="0 0 16 60" class="relative h-16 w-4" fill="none" stroke="currentColor" stroke-width="2"><path d="M3 9l5-6 5 6M8 3v54" /></svg></div>
            <div class="flex min-w-36 flex-1 flex-col gap-2 lg:pt-6">
                <button type="button" class="button-main min-h-14 flex-col gap-0 text-lg" data-testid="take" data-press="take" @disabled(! $mayOperate)>
                    <span data-take-label>Mix</span><span class="text-xs font-normal">key L</span>
                </button>
                <button type="button" class="button min-h-12 text-lg" data-testid="cut" data-press="cut" @disabled(! $mayOperate)>Cut <span class="keycap">K</span></button>
                <div class="grid grid-cols-2 gap-2">
                    <label class="text-xs font-semibold text-soft">seconds<input class="field min-h-9 px-2 text-base" type="number" min="0.04" max="10" step="0.01" data-adjust="seconds" data-testid="seconds" @disabled(! $mayOperate)></label>
                    <label class="text-xs font-semibold text-soft">frames<input class="field min-h-9 px-2 text-base" type="number" min="2" max="300" step="1" data-adjust="frames" data-testid="frames" @disabled(! $mayOperate)></label>
                </div>
                <button type="button" class="button mt-auto min-h-12 border-2 border-ink text-lg" data-testid="cover" data-press="cover" aria-pressed="false" @disabled(! $mayOperate)><span data-cover-label>Cover</span> <span class="keycap">;</span></button>
            </div>
        </div>
    </section>

    <section class="flex min-h-0 flex-col justify-between gap-1 overflow-y-auto" aria-label="Pictures" id="cards" hx-get="/shows/{{ $show->id }}" hx-trigger="show-changed from:body" hx-select="#cards" hx-ext="grow" hx-swap="grow" hx-disinherit="*">
        @foreach ($rows as $row)
            <div>
                <h2 class="text-sm font-bold text-soft">{{ $row['group']->label() }}</h2>
                <div class="grid grid-cols-5 gap-2">
                    @foreach ($row['keys'] as $key)
                        @if ($key === '1')
                            <x-picture-card id="holding" name="Holding card" key="1" />
                        @elseif ($byKey->has($key))
                            <x-picture-card :id="$byKey[$key]->id" :name="$byKey[$key]->name" :key="$key" />
                        @else
                            <div class="free-place {{ $row['group']->value === 'waiting' ? 'min-h-12' : '' }}" aria-hidden="true"><span class="keycap opacity-60">{{ $key }}</span></div>
                        @endif
                    @endforeach
                </div>
            </div>
        @endforeach
        @if ($withoutKey->isNotEmpty())
            <div>
                <h2 class="text-sm font-bold text-soft">Without a key</h2>
                <div class="grid grid-cols-5 gap-2">@foreach ($withoutKey as $picture)<x-picture-card :id="$picture->id" :name="$picture->name" />@endforeach</div>
            </div>
        @endif
        @if ($mayOperate)
            <div x-data="inHand">
                <h2 class="text-sm font-bold text-soft">In hand</h2>
                <div class="flex gap-2 overflow-x-auto pb-1" role="group" aria-label="Sources in hand" data-testid="in-hand">
                    @foreach ($inHand as $source)
                        <div class="in-hand" data-grow="hand-{{ $source->id }}" data-source-id="{{ $source->id }}" :data-tally="tally('{{ $source->id }}')" x-data="handling('{{ $source->id }}')">
                            <button type="button" class="in-hand-name" @click="toggle('{{ $source->id }}')" :aria-expanded="chosen === '{{ $source->id }}'" data-testid="in-hand-open" title="All that can be done with {{ $source->name }}">{{ $source->name }}</button>
                            @switch ($source->kind->value)
                                @case('deck')
                                    <button type="button" class="in-hand-press" @click="turnPage(-1)" aria-label="{{ $source->name }}: page back">◀</button>
                                    <span class="min-w-11 text-center text-sm tabular-nums" data-testid="in-hand-page"><span x-text="page"></span>/<span x-text="entry?.deck?.pages"></span></span>
                                    <button type="button" class="in-hand-press" @click="turnPage(1)" aria-label="{{ $source->name }}: next page">▶</button>
                                    @break
                                @case('clip')
                                    <button type="button" class="in-hand-press" @click="togglePlay()" x-text="playing ? '❚❚' : '▶'" :aria-label="playing ? 'Pause {{ $source->name }}' : 'Play {{ $source->name }}'">▶</button>
                                    <span class="pr-2 text-sm tabular-nums" x-text="remaining" title="left"></span>
                                    @break
                                @case('screen')
                                    <button type="button" class="in-hand-press" @click="blank()" :aria-pressed="now.blank" x-text="now.blank ? 'Show' : 'Blank'">Blank</button>
                                    @break
                                @default
                                    <button type="button" class="in-hand-press" @click="freeze()" :aria-pressed="now.frozen" x-text="now.frozen ? 'Release' : 'Freeze'">Freeze</button>
                            @endswitch
                        </div>
                    @endforeach
                </div>
                @foreach ($inHand as $source)
                    @php($core = $source->toSource())
                    <template x-if="chosen === '{{ $source->id }}'">
                        <section class="in-hand-panel" aria-label="{{ $source->name }} in hand" @keydown.escape.window="chosen = ''" data-testid="in-hand-panel">
                            <div class="flex items-center justify-between gap-3">
                                <h3 class="text-lg font-bold">{{ $source->name }}</h3>
                                <span class="flex items-center gap-1">
                                    @if ($core->hasPicture())<a class="button-quiet" href="/shows/{{ $show->id }}/sources/{{ $source->id }}/adjust" hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML">Adjust</a>@endif
                                    <button type="button" class="button min-h-9" @click="chosen = ''">Done</button>
                                </span>
                            </div>
                            <div class="grid gap-4 sm:grid-cols-[15rem_1fr]">
                                @if ($core->hasPicture())
                                    <div x-data="handling('{{ $source->id }}')" x-init="$nextTick(() => attach($refs.look, '{{ $source->id }}'))">
                                        <canvas x-ref="look" data-view="source" data-id="{{ $source->id }}" width="480" height="270" class="block aspect-video w-full cursor-zoom-in rounded-md bg-line" role="img" aria-label="Picture of {{ $source->name }}: click to magnify" @click="magnifyAt($event)" data-testid="in-hand-look"></canvas>
                                    </div>
                                @endif
                                <x-handling :id="$source->id" :name="$source->name" :kind="$source->kind->value" :deck="$source->kind->value === 'deck'" :clip="$source->kind->value === 'clip'" :hasPicture="$core->hasPicture()" :device="$source->kind->isDevice() || $source->kind->value === 'network-camera'" />
                            </div>
                        </section>
                    </template>
                @endforeach
            </div>
        @endif
    </section>

    <section class="sheet flex flex-wrap items-center gap-x-5 gap-y-2 px-4 py-2 lg:col-span-2 lg:flex-nowrap" aria-label="Sound and outgoing">
        <div class="w-60 shrink-0">
            <p class="flex justify-between text-sm font-semibold"><span>Main mix</span><span data-meter-text data-testid="main-level">silent</span></p>
            <div class="meter" data-meter="main" data-testid="main-meter"><span class="meter-mark" style="left:{{ 100 * \Rhetorix\Core\Sound\MeterScale::place(new \Rhetorix\Core\Sound\Decibels(-18)) }}%" title="Alignment: −18 dBFS"></span></div>
            <p class="relative h-4 text-[11px] text-soft" aria-hidden="true">@foreach (\Rhetorix\Core\Sound\MeterScale::toArray()['marks'] as $mark)<span class="absolute -translate-x-1/2" style="left:{{ 100 * $mark['at'] }}%">{{ $mark['db'] }}</span>@endforeach</p>
        </div>
        <div class="flex min-w-0 gap-4 overflow-x-auto lg:flex-1" id="strips" hx-get="/shows/{{ $show->id }}" hx-trigger="show-changed from:body" hx-select="#strips" hx-ext="grow" hx-swap="grow" hx-disinherit="*">
            @foreach ($state['book']['sources'] as $id => $source)
                @continue($source['hearing'] === 'never' || $source['kind'] === 'guest')
                <div class="flex shrink-0 items-center gap-2" data-strip="{{ $id }}">
                    <div class="w-28">
                        <p class="truncate text-sm font-semibold" title="{{ $source['name'] }}">{{ $source['name'] }}</p>
                        <div class="meter" data-meter="{{ $id }}"></div>
                        <input type="range" min="-60" max="12" step="0.5" value="0" class="h-4 w-full accent-(--accent)" data-adjust="level" data-source-id="{{ $id }}" aria-label="Level of {{ $source['name'] }}, in dB" @disabled(! $mayOperate)>
                    </div>
                    <button type="button" class="button min-h-11 px-3" data-press="mute" data-source-id="{{ $id }}" aria-label="Mute {{ $source['name'] }}" aria-pressed="false" @disabled(! $mayOperate)><span data-mute-label>Mute</span></button>
                </div>
            @endforeach
        </div>
        <div class="ml-auto flex shrink-0 items-center gap-3">
            <p class="text-sm text-soft">Change <span data-testid="revision">{{ $state['revision'] }}</span></p>
            <button type="button" class="button" data-press="program-window" data-testid="program-window-open">Program window</button>
        </div>
    </section>
</main>
@endsection
