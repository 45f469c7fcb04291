@extends('show')
@section('title', $show->name)

@section('content')
<main class="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 lg:h-[calc(100vh-3rem)] lg:grid-cols-[minmax(0,1.06fr)_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)_auto]" data-desk>
    <h1 class="sr-only">Desk of {{ $show->name }}</h1>

    <section class="flex min-h-0 flex-col" aria-label="Program and preview">
        <div class="flex items-end justify-between">
            <h2 class="tab-on-air">On air</h2>
            <p id="who" class="mr-auto truncate pl-3 text-sm text-soft" data-testid="who" aria-live="polite"></p>
            <p class="truncate pb-0.5 pl-3 font-semibold"><span data-program-name></span> <span class="font-normal text-soft" data-beneath></span></p>
        </div>
        <div class="on-air -mt-px mx-auto aspect-video w-full max-lg:w-[min(100%,calc(28vh*16/9))]" data-program-slot></div>

        <div class="mt-2 flex min-h-0 flex-1 gap-3 max-lg:gap-2 lg:[container-type:size]">
            <div class="min-w-0 max-lg:w-[46%] lg:w-[calc((100cqh-1.7rem)*16/9)]">
                <div class="flex items-end justify-between">
                    <h2 class="tab-next">Next</h2>
                    <div class="relative shrink-0" x-data="transitions">
                        <button type="button" class="button-quiet min-h-7 px-2 text-sm max-sm:hidden" @click="past = !past" :aria-expanded="past" data-testid="past-open" title="What was on program, and what was next before">Earlier…</button>
                        <div class="pop top-8 left-0 w-72" x-show="past" x-cloak @keydown.escape.window="past = false" @click.outside="past = false" role="group" aria-label="The last programs" data-testid="past">
                    <button type="button" class="button min-h-9 justify-between text-sm" data-press="unarm" data-testid="unarm">Undo the last arming <span class="keycap" data-cap="unarm">U</span></button>
                    <p class="text-sm font-bold text-soft">Were on program</p>
                    <template x-for="each in earlier" :key="each.id"><button type="button" class="button min-h-9 justify-start text-sm" data-press="picture" :data-picture-id="each.id" x-text="each.name" data-testid="past-picture"></button></template>
                    <p class="text-sm text-soft" x-show="earlier.length === 0">Nothing yet: what leaves program is listed here.</p>
                </div>
                    </div>
                    <p class="min-w-0 flex-1 truncate pb-0.5 pl-2 text-right font-semibold" data-preview-name></p>
                </div>
                <div class="next-up -mt-px aspect-video w-full"><canvas data-testid="preview" data-view="preview" width="640" height="360" class="block h-full w-full" role="img" aria-label="Preview"></canvas></div>
            </div>
            <div class="rail mt-6 self-stretch" data-rail data-testid="fader" role="slider" tabindex="0" aria-orientation="vertical" aria-label="Fader" aria-valuemin="0" aria-valuemax="100" aria-valuenow="0" data-way="up" aria-disabled="{{ $mayOperate ? 'false' : 'true' }}">
                <span class="rail-arrow" aria-hidden="true"><svg viewBox="0 0 16 28" fill="none" stroke="currentColor" stroke-width="2"><path d="M3 9l5-6 5 6M8 3v23" /></svg></span>
                <span class="rail-knob" data-fader-knob aria-hidden="true"></span>
                <span class="rail-holder" data-fader-holder></span>
            </div>
            <div class="relative flex min-w-0 flex-1 flex-col gap-1.5 pt-6 lg:min-w-36" x-data="transitions">
                <div class="grid grid-cols-[1.5fr_1fr] gap-1.5 max-sm:grid-cols-1">
                    <button type="button" class="button-main min-h-12 gap-1.5 px-1 text-base leading-tight" data-testid="take" data-press="take" @disabled(! $mayOperate)><span data-take-label>Mix</span><span class="keycap border-transparent max-lg:hidden" data-cap="take">L</span></button>
                    <button type="button" class="button min-h-12 gap-1.5 px-1 text-lg" data-testid="cut" data-press="cut" @disabled(! $mayOperate)>Cut <span class="keycap max-lg:hidden" data-cap="cut">K</span></button>
                </div>
                <div class="grid min-h-0 grid-cols-2 gap-1.5 overflow-y-auto max-sm:grid-cols-1 max-sm:[&_[data-testid=favourite]]:hidden" role="group" aria-label="Take with">
                    <div class="contents" data-favourites data-testid="favourites"></div>
                    <button type="button" class="favourite border-dashed text-soft" @click="open = !open" :aria-expanded="open" data-testid="transition-options">Other…</button>
                </div>
                <button type="button" class="button mt-auto min-h-11 border-2 border-ink px-1 text-lg" data-testid="cover" data-press="cover" aria-pressed="false" @disabled(! $mayOperate)><span data-cover-label>Cover</span> <span class="keycap max-lg:hidden" data-cap="cover">;</span></button>
                <div class="pop right-0 bottom-[calc(100%-1.25rem)] w-72" x-show="open" x-cloak @keydown.escape.window="open = false" @click.outside="open = false" role="group" aria-label="Transition" data-testid="transition-panel">
                    <div class="flex gap-1.5">
                        <select class="field min-h-9 min-w-0 px-2" aria-label="Kind of transition" data-adjust="kind" data-testid="kind" @disabled(! $mayOperate)>
                            @foreach (\Rhetorix\Core\Switching\Transition\TransitionKind::cases() as $kind)<option value="{{ $kind->value }}">{{ $kind->label() }}</option>@endforeach
                        </select>
                        <button type="button" class="button min-h-9 px-3 text-sm" data-press="try" data-testid="try" title="Shows it in preview; nothing of it reaches program">Try</button>
                    </div>
                    <div class="grid grid-cols-2 gap-1.5">
                        <label class="flex items-center gap-1 text-sm font-semibold text-soft"><input class="field min-h-9 px-2" type="number" min="0.04" max="10" step="0.01" data-adjust="seconds" data-testid="seconds" aria-label="seconds" @disabled(! $mayOperate)>s</label>
                        <label class="flex items-center gap-1 text-sm font-semibold text-soft"><input class="field min-h-9 px-2" type="number" min="2" max="300" step="1" data-adjust="frames" data-testid="frames" aria-label="frames" @disabled(! $mayOperate)>frames</label>
                    </div>
                    <label class="flex items-center justify-between gap-2 text-sm font-semibold text-soft" x-show="!clip">Speed
                        <select class="field min-h-9 w-40 px-2" data-adjust="easing" data-testid="easing" @disabled(! $mayOperate)>
                            @foreach (\Rhetorix\Core\Switching\Transition\Easing::cases() as $easing)<option value="{{ $easing->value }}">{{ $easing->label() }}</option>@endforeach
                        </select>
                    </label>
                    <label class="flex items-center justify-between gap-2 text-sm font-semibold text-soft" x-show="soft">Soft edge
                        <input class="w-40 accent-(--accent)" type="range" min="1" max="500" step="1" data-adjust="soft" data-testid="soft" @disabled(! $mayOperate)>
                    </label>
                    <label class="flex items-center justify-between gap-2 text-sm font-semibold text-soft" x-show="colour">Through
                        <input class="h-9 w-40 rounded-lg border border-soft" type="color" data-adjust="colour" data-testid="dip-colour" @disabled(! $mayOperate)>
                    </label>
                    <div class="space-y-2" x-show="clip">
                        <label class="flex items-center justify-between gap-2 text-sm font-semibold text-soft">Clip
                            <select class="field min-h-9 w-40 px-2" data-adjust="clip" data-testid="transition-clip" @disabled(! $mayOperate)><template x-for="each in clips" :key="each.id"><option :value="each.id" x-text="each.name"></option></template></select>
                        </label>
                        <label class="flex items-center justify-between gap-2 text-sm font-semibold text-soft">Changes at
                            <input class="w-40 accent-(--accent)" type="range" min="1" max="999" step="1" data-adjust="mark" data-testid="mark" @disabled(! $mayOperate)>
                        </label>
                    </div>
                    <div class="space-y-1 border-t border-line pt-2">
                        <p class="flex items-center justify-between text-sm font-bold text-soft">To hand <button type="button" class="button min-h-9 px-3" @click="keep()" :disabled="kept.length >= {{ \Rhetorix\Core\Switching\Command\KeepFavourites::MOST }}" data-testid="keep-favourite">Add this one</button></p>
                        <template x-for="(each, i) in kept" :key="i"><p class="flex items-center justify-between text-sm"><span x-text="each.label"></span><button type="button" class="button-quiet min-h-8" @click="drop(i)" :aria-label="`Take ${each.label} out`">Take out</button></p></template>
                    </div>
                </div>
            </div>
        </div>
    </section>

    <section class="flex min-h-0 flex-col justify-between gap-1 overflow-y-auto" aria-label="Pictures" id="cards" hx-get="/shows/{{ $show->id }}" hx-trigger="show-changed from:body" hx-select="#cards" hx-ext="grow" hx-swap="grow" hx-disinherit="*">
        @foreach ($rows as $row)
            <div>
                <h2 class="text-sm font-bold text-soft">{{ $row['group']->label() }}</h2>
                <div class="grid grid-cols-3 gap-2 sm:grid-cols-5">
                    @foreach ($row['keys'] as $key)
                        @if ($key === '1')
                            <x-picture-card id="holding" name="Holding card" key="1" />
                        @elseif ($byKey->has($key))
                            <x-picture-card :id="$byKey[$key]->id" :name="$byKey[$key]->name" :key="$key" />
                        @else
                            <div class="free-place max-lg:hidden {{ $row['group']->value === 'waiting' ? 'min-h-12' : '' }}" aria-hidden="true"><span class="keycap opacity-60">{{ $key }}</span></div>
                        @endif
                    @endforeach
                </div>
            </div>
        @endforeach
        @if ($withoutKey->isNotEmpty())
            <div>
                <h2 class="text-sm font-bold text-soft">Without a key</h2>
                <div class="grid grid-cols-3 gap-2 sm:grid-cols-5">@foreach ($withoutKey as $picture)<x-picture-card :id="$picture->id" :name="$picture->name" />@endforeach</div>
            </div>
        @endif
        @if ($mayOperate)
            <div x-data="fillNext" x-show="slots.length > 0" data-grow="fill-next" data-testid="fill-next">
                <div class="flex items-center gap-2 overflow-x-auto pb-1" role="group" aria-label="Fill the places of what is next">
                    <span class="shrink-0 text-sm font-bold text-soft">In what is next</span>
                    <select class="field min-h-9 w-auto shrink-0 px-2 text-sm" aria-label="Place" x-model="slot" data-testid="fill-slot"><template x-for="place in slots" :key="place.slot"><option :value="place.slot" x-text="`${place.label}: ${nameOf(place.source)}`" :selected="place.slot === slot"></option></template></select>
                    @foreach ($state['book']['sources'] as $id => $source)
                        @continue($source['placeholder'] === null)
                        <button type="button" class="in-hand-press min-h-9 shrink-0 rounded-lg border px-2" data-grow="fill-{{ $id }}" @click="fill('{{ $id }}')" :aria-pressed="now === '{{ $id }}'" data-testid="fill-source">{{ $source['name'] }}</button>
                    @endforeach
                </div>
            </div>
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

    <section class="sheet flex flex-wrap items-center gap-x-5 gap-y-2 px-4 py-2 max-lg:px-2 lg:col-span-2 lg:flex-nowrap" aria-label="Sound and outgoing">
        <div class="w-44 shrink-0">
            <p class="flex justify-between text-sm font-semibold"><span>Main mix</span><span data-meter-text data-testid="main-level">silent</span></p>
            <div class="meter" data-meter="main" data-testid="main-meter"><span class="meter-mark" style="left:{{ 100 * \Rhetorix\Core\Sound\MeterScale::place(new \Rhetorix\Core\Sound\Decibels(-18)) }}%" title="Alignment: −18 dBFS"></span></div>
            <p class="relative h-4 text-[11px] text-soft" aria-hidden="true">@foreach (\Rhetorix\Core\Sound\MeterScale::toArray()['marks'] as $mark)<span class="absolute -translate-x-1/2" style="left:{{ 100 * $mark['at'] }}%">{{ $mark['db'] }}</span>@endforeach</p>
        </div>
        <div class="flex shrink-0 items-center gap-1.5 border-line max-lg:w-full max-lg:flex-wrap lg:border-x lg:px-4" x-data="insetDesk" role="group" aria-label="Inset over program" data-testid="inset">
            <label class="w-28"><span class="block text-sm font-semibold">Inset</span>
                <select class="field min-h-8 px-1.5 text-sm" data-testid="inset-source" @change="show($event.target.value)" aria-label="Whom the inset shows" @disabled(! $mayOperate)>
                    <template x-for="{ id, name } in choices" :key="id"><option :value="id" x-text="name" :selected="source === id"></option></template>
                </select>
            </label>
            @foreach (['full' => 'Only me', 'over' => 'Both', 'off' => 'Only the thing'] as $mode => $word)
                <button type="button" class="button min-h-11 px-2.5 text-sm leading-tight" @click="set('{{ $mode }}')" :aria-pressed="mode === '{{ $mode }}'" data-testid="inset-{{ $mode }}" @disabled(! $mayOperate)>{{ $word }}</button>
            @endforeach
            <div class="grid grid-cols-2 gap-0.5" role="group" aria-label="Corner">
                @foreach (\Rhetorix\Core\Layout\Corner::cases() as $corner)
                    <button type="button" class="corner" @click="into('{{ $corner->value }}')" :aria-pressed="corner === '{{ $corner->value }}'" aria-label="{{ $corner->label() }}" data-testid="inset-{{ $corner->value }}" @disabled(! $mayOperate)><span class="{{ $corner->isLeft() ? 'left-0.5' : 'right-0.5' }} {{ $corner->isTop() ? 'top-0.5' : 'bottom-0.5' }}"></span></button>
                @endforeach
            </div>
            <div class="grid gap-0.5">
                <button type="button" class="corner font-bold" @click="size(1)" aria-label="Larger" data-testid="inset-larger" @disabled(! $mayOperate)>+</button>
                <button type="button" class="corner font-bold" @click="size(-1)" aria-label="Smaller" data-testid="inset-smaller" @disabled(! $mayOperate)>−</button>
            </div>
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
        <div class="ml-auto flex flex-wrap items-center gap-3 lg:shrink-0">
            <p class="text-sm text-soft" title="So many changes since the show was made"><span class="sr-only">Change </span><span data-testid="revision">{{ $state['revision'] }}</span></p>
            <a class="button-quiet px-1" href="/shows/{{ $show->id }}/panel" target="_blank" title="Large buttons for a tablet">Panel</a>
            <a class="button-quiet px-1" href="/shows/{{ $show->id }}/tally" target="_blank" title="For a spare phone or screen">Tally</a>
            <button type="button" class="button" data-press="program-window" data-testid="program-window-open">Program window</button>
        </div>
    </section>
</main>
@endsection
