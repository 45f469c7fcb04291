@extends('show')
@section('title', $source->name)

@php
    use Rhetorix\Core\Colour\Correction;
    use Rhetorix\Core\Reading\FarEnd;
    $holds = ['top left', 'top', 'top right', 'left', 'right', 'bottom left', 'bottom', 'bottom right'];
    $colours = ['brightness' => 'Brightness', 'contrast' => 'Contrast', 'saturation' => 'Saturation', 'warmth' => 'Warmth', 'tint' => 'Tint'];
    $hints = ['warmth' => 'bluer to more yellow', 'tint' => 'greener to more magenta'];
@endphp

@section('content')
<main class="mx-auto max-w-[1320px] px-4 py-3" x-data="adjust('{{ $source->id }}', @js($tried))" data-testid="adjust">
    <div class="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1">
        <h1 class="text-2xl font-bold">{{ $source->name }}</h1>
        <a class="button-quiet" href="/shows/{{ $show->id }}/rig" hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML">Back to the rig</a>
        <p class="wrong text-sm" x-cloak x-show="!held">The pictures here are stills: open this page on the computer that holds the devices to see it move.</p>
        @if ($mayOperate)
            <div class="ml-auto flex flex-wrap items-center gap-2">
                <button type="button" class="button min-h-9" :disabled="undoable === 0" @click="undo()" data-testid="undo">Undo <span class="text-soft" x-show="undoable" x-text="undoable"></span></button>
                <div class="relative" x-data="{ open: false, to: '', groups: ['framing', 'colour', 'key'] }" @keydown.escape="open = false">
                    <button type="button" class="button min-h-9" :aria-expanded="open" @click="open = !open" data-testid="copy-open">Copy to…</button>
                    <div class="sheet absolute right-0 z-20 mt-1 w-72 space-y-2 p-3 shadow-lg" x-cloak x-show="open" @click.outside="open = false">
                        <label class="label">Which source <select class="field min-h-9" x-model="to" data-testid="copy-to"><option value="">choose…</option>@foreach ($others as $other)<option value="{{ $other->id }}">{{ $other->name }}</option>@endforeach</select></label>
                        @foreach (['framing' => 'Framing', 'colour' => 'Colour', 'key' => 'Key and what is behind'] as $group => $word)
                            <label class="flex min-h-8 items-center gap-2"><input type="checkbox" class="size-5 accent-(--accent)" value="{{ $group }}" x-model="groups"> {{ $word }}</label>
                        @endforeach
                        <button type="button" class="button-main min-h-9 w-full" :disabled="!to || !groups.length" @click="copy(to, groups); open = false" data-testid="copy">Copy</button>
                    </div>
                </div>
            </div>
        @endif
    </div>

    <div class="grid gap-4 lg:grid-cols-[1fr_25rem]">
        <div>
            {{-- The whole source, with what is held on it. --}}
            <div class="relative overflow-hidden rounded-lg bg-black" :class="picking && 'cursor-crosshair'">
                <canvas data-own="whole" class="block aspect-video w-full" width="800" height="450" role="img" aria-label="All of {{ $source->name }}" @click="pickAt($event)" data-testid="whole"></canvas>
                @if ($mayOperate)
                    <div class="hold-box" x-cloak x-show="tab === 'framing' || (tab === 'key' && tried.handling.key && !picking)" :style="(wide, boxStyle(edges))">
                        <button type="button" class="hold-middle" @pointerdown="grab($event, 'middle')" @keydown="nudgeBox($event, 'middle')" aria-label="Move the part that is kept; arrow keys move it by a pixel" data-testid="hold-middle"></button>
                        @foreach ($holds as $hold)<button type="button" class="hold" data-hold="{{ $hold }}" @pointerdown="grab($event, '{{ $hold }}')" @keydown="nudgeBox($event, '{{ $hold }}')" aria-label="Edge {{ $hold }}"></button>@endforeach
                    </div>
                @endif
                <button type="button" class="split-line" x-cloak x-show="split" :style="(wide, splitStyle)" @pointerdown="slide($event)" aria-label="Before on the left, after on the right"><span>before</span><span>after</span></button>
            </div>
            @if ($mayOperate)
                <div class="mt-2 flex flex-wrap items-end gap-2" x-cloak x-show="tab === 'framing' || (tab === 'key' && tried.handling.key)">
                    @foreach (['left' => 'Left', 'top' => 'Top', 'right' => 'Right', 'bottom' => 'Bottom'] as $edge => $word)
                        <label class="label mb-0 w-24">{{ $word }}<input type="number" min="0" class="field min-h-10 px-2" x-shows="edges.{{ $edge }}" @change="setEdge('{{ $edge }}', $event.target.valueAsNumber)" data-testid="edge-{{ $edge }}"></label>
                    @endforeach
                    <p class="pb-2 text-sm text-soft">pixels off of <span x-text="edges.width"></span> × <span x-text="edges.height"></span>, kept <span class="font-semibold text-ink" x-text="`${edges.width - edges.left - edges.right} × ${edges.height - edges.top - edges.bottom}`" data-testid="kept"></span></p>
                </div>
            @endif
            <p class="wrong mt-2 text-sm" x-cloak x-show="warning" x-text="warning" data-testid="key-warning"></p>
            <p class="mt-1 min-h-6 text-sm text-soft">
                <span x-show="tab === 'framing'">Drag the edges, or give the pixels. What lies outside is not shown anywhere.</span>
                <span x-cloak x-show="tab === 'colour'">All of the source, with its colours as they will be.</span>
                <span x-cloak x-show="tab === 'key' && picking" class="font-semibold text-ink">Click the backing, away from the person and from shadows.</span>
                <span x-cloak x-show="tab === 'key' && !picking && !matte">Drag the edges so that nothing beyond the backing is inside.</span>
                <span x-cloak x-show="tab === 'key' && matte">White is kept, black is cut, grey lets through.</span>
            </p>
        </div>

        <div class="space-y-3" x-data="adjustReading">
            <div class="relative overflow-hidden rounded-lg border border-line bg-black">
                <canvas data-own="result" class="block aspect-video w-full touch-none" :class="zoom > 1 && 'cursor-grab'" width="400" height="225" role="img" aria-label="{{ $source->name }} on a picture of its own" @if ($mayOperate) @pointerdown="pan($event)" @wheel="wheel($event)" @endif data-testid="result"></canvas>
                <template x-if="tab === 'reading' && found"><div><template x-for="(line, i) in tooSmall" :key="i"><i class="pointer-events-none absolute block border-b-2 border-sun" :style="style(line)"></i></template></div></template>
            </div>
            <div class="flex gap-1" role="tablist" aria-label="What to adjust">
                @foreach (['framing' => 'Framing', 'colour' => 'Colour', 'key' => 'Key', 'reading' => 'Reading'] as $tab => $word)
                    <button type="button" role="tab" class="button min-h-10 flex-1 px-2" :aria-selected="tab === '{{ $tab }}'" :class="tab === '{{ $tab }}' && 'border-ink! border-2! font-bold'" @click="choose('{{ $tab }}')" data-testid="tab-{{ $tab }}">{{ $word }}</button>
                @endforeach
            </div>

            <fieldset class="contents" @disabled(! $mayOperate)>
            <section class="space-y-3" x-show="tab === 'framing'" aria-label="Framing">
                <label class="flex items-center gap-2 text-sm font-semibold text-soft">Zoom
                    <input type="range" class="grow accent-(--accent)" min="1" max="8" step="0.05" x-shows="zoom" @input="zoomTo($event.target.valueAsNumber, false)" @change="zoomTo($event.target.valueAsNumber, true)" data-testid="zoom">
                    <input type="number" class="field min-h-9 w-20 px-2" min="1" max="8" step="0.05" x-shows="zoom.toFixed(2)" @change="zoomTo($event.target.valueAsNumber || 1, true)" aria-label="Zoom"></label>
                <p class="text-sm text-soft" x-show="zoom > 1">Drag the small picture to move about in it.</p>
                <label class="label">In a window of another shape
                    <select class="field min-h-10" x-shows="tried.handling.framing.fit" @change="press({ framing: { fit: $event.target.value } })" data-testid="fit">
                        <option value="auto">as suits the window</option><option value="contain">show all of it</option><option value="cover">fill the window, lose edges</option><option value="stretch">stretch it</option>
                    </select></label>
                <div class="flex flex-wrap gap-2" role="group" aria-label="Turn">
                    <button type="button" class="button min-h-10 px-3" @click="turn('left')" aria-label="A quarter turn to the left">↺</button>
                    <button type="button" class="button min-h-10 px-3" @click="turn('right')" aria-label="A quarter turn to the right" data-testid="adjust-turn">↻</button>
                    <button type="button" class="button min-h-10" @click="turn('mirror')">Mirror</button>
                    <button type="button" class="button min-h-10" @click="turn('flip')">Flip</button>
                    <button type="button" class="button-quiet" @click="reset('framing')" data-testid="reset-framing">As it comes</button>
                </div>
            </section>

            <section class="space-y-2" x-cloak x-show="tab === 'colour'" aria-label="Colour">
                @foreach ($colours as $name => $word)
                    @php([$least, $most] = Correction::RANGES[$name])
                    <div class="grid grid-cols-[6rem_1fr_5rem] items-center gap-2">
                        <label class="text-sm font-semibold text-soft" for="colour-{{ $name }}" @isset($hints[$name]) title="{{ $hints[$name] }}" @endisset>{{ $word }}</label>
                        <input id="colour-{{ $name }}" type="range" class="w-full accent-(--accent)" min="{{ $least }}" max="{{ $most }}" step="0.01" x-shows="colour('{{ $name }}')" @input="setColour('{{ $name }}', $event.target.valueAsNumber, false)" @change="setColour('{{ $name }}', $event.target.valueAsNumber, true)" data-testid="colour-{{ $name }}">
                        <input type="number" class="field min-h-9 px-2" min="{{ $least * 100 }}" max="{{ $most * 100 }}" step="1" x-shows="Math.round(colour('{{ $name }}') * 100)" @change="setColour('{{ $name }}', $event.target.valueAsNumber / 100, true)" aria-label="{{ $word }} in per cent">
                    </div>
                @endforeach
                <div class="flex flex-wrap items-center gap-2">
                    <button type="button" class="button min-h-9" :aria-pressed="split" @click="compare(!split)" data-testid="compare">Before and after</button>
                    <p class="text-sm text-soft" x-show="isMatched">Matched with another source.</p>
                    <button type="button" class="button-quiet" @click="reset('colour')" data-testid="reset-colour">As it comes</button>
                </div>
                <div x-data="adjustMatch" @matched="compare(true)" class="space-y-2 border-t border-line pt-2">
                    <label class="label mb-0">Match with
                        <select class="field min-h-10" x-shows="other" @change="begin($event.target.value)" data-testid="match-with"><option value="">another source…</option>@foreach ($others as $other)<option value="{{ $other->id }}">{{ $other->name }}</option>@endforeach</select></label>
                    <p class="text-sm" x-show="said" x-text="said" data-testid="match-said"></p>
                    <template x-if="other">
                        <div class="fixed inset-x-0 top-14 bottom-0 z-10 overflow-auto bg-paper p-4" role="dialog" aria-label="Match" data-testid="match">
                            <div class="mx-auto max-w-[1280px] space-y-3">
                                <p class="text-lg"><span class="font-bold">Lay each box on the same thing in both pictures.</span> Something with light and dark parts, or several colours, gives the best match; a grey card does too.</p>
                                <div class="grid gap-4 md:grid-cols-2">
                                    @foreach (['from' => $source->name, 'to' => null] as $side => $name)
                                        <figure>
                                            <figcaption class="mb-1 font-semibold">@if ($name){{ $name }}, as it comes @else<span x-text="`${$el.closest('main').querySelector('[data-testid=match-with]').selectedOptions[0]?.textContent ?? ''}: this is how it shall look`"></span>@endif</figcaption>
                                            <div class="relative overflow-hidden rounded-lg bg-black" data-side>
                                                <canvas data-match="{{ $side }}" class="block aspect-video w-full" width="600" height="338"></canvas>
                                                <template x-for="(pair, i) in pairs" :key="i">
                                                    <div class="patch-box" :style="style('{{ $side }}', pair.{{ $side }}, $el)">
                                                        <span x-text="i + 1"></span>
                                                        <button type="button" class="hold-middle" @pointerdown="grab($event, '{{ $side }}', i, 'middle')" @keydown="nudge($event, '{{ $side }}', i, 'middle')" :aria-label="`Patch ${i + 1} of {{ $side === 'from' ? $source->name : 'the other' }}`" data-testid="patch-{{ $side }}"></button>
                                                        <button type="button" class="hold" data-hold="bottom right" @pointerdown="grab($event, '{{ $side }}', i, 'bottom right')" @keydown="nudge($event, '{{ $side }}', i, 'bottom right')" :aria-label="`Size of patch ${i + 1}`" data-testid="patch-size-{{ $side }}"></button>
                                                    </div>
                                                </template>
                                            </div>
                                        </figure>
                                    @endforeach
                                </div>
                                <div class="flex flex-wrap gap-3">
                                    <button type="button" class="button-main" @click="work(false)" data-testid="match-work">Match</button>
                                    <button type="button" class="button" @click="another()" :disabled="pairs.length >= 6" data-testid="match-another">Another patch</button>
                                    <button type="button" class="button" @click="fewer()" x-show="pairs.length > 1">One less</button>
                                    <button type="button" class="button" @click="work(true)" title="Uses patch 1 of this picture alone">Patch 1 is a grey card</button>
                                    <button type="button" class="button-quiet" @click="end()">Not now</button>
                                </div>
                            </div>
                        </div>
                    </template>
                </div>
                @if ($source->kind->value === 'camera')
                    <x-device-controls :source="$source" />
                @endif
            </section>

            <section class="space-y-3" x-cloak x-show="tab === 'key'" aria-label="Key">
                <div class="flex flex-wrap items-center gap-2">
                    <button type="button" class="button-main min-h-10" :aria-pressed="picking" @click="pick(!picking)" data-testid="pick" x-text="tried.handling.key ? 'Pick again' : 'Pick the backing'">Pick the backing</button>
                    <template x-if="tried.handling.key"><span class="flex items-center gap-2 text-sm"><span class="inline-block size-8 rounded border border-soft" :style="`background:${tried.handling.key.colour}`" role="img" :aria-label="`Backing ${tried.handling.key.colour}`"></span><button type="button" class="button min-h-10" @click="sampleAgain()" title="The light has changed: find the backing's colour again" data-testid="sample-again">Sample again</button><button type="button" class="button min-h-10" :aria-pressed="matte" @click="showMatte(!matte)" data-testid="matte">Matte</button></span></template>
                    <button type="button" class="button-quiet" x-show="tried.handling.key || tried.handling.behind" @click="reset('key')" data-testid="reset-key">As it comes</button>
                </div>
                <template x-if="tried.handling.key">
                    <div class="space-y-2">
                        @foreach (['tolerance' => ['Tolerance', 0, 0.9], 'softness' => ['Softness', 0.02, 1], 'spill' => ['Spill', 0, 1]] as $name => [$word, $least, $most])
                            <div class="grid grid-cols-[6rem_1fr_5rem] items-center gap-2">
                                <label class="text-sm font-semibold text-soft" for="key-{{ $name }}">{{ $word }}</label>
                                <input id="key-{{ $name }}" type="range" class="w-full accent-(--accent)" min="{{ $least }}" max="{{ $most }}" step="0.01" x-shows="tried.handling.key?.{{ $name }}" @input="setKey('{{ $name }}', $event.target.valueAsNumber, false)" @change="setKey('{{ $name }}', $event.target.valueAsNumber, true)" data-testid="key-{{ $name }}">
                                <input type="number" class="field min-h-9 px-2" min="{{ round($least * 100) }}" max="{{ $most * 100 }}" x-shows="Math.round((tried.handling.key?.{{ $name }} ?? 0) * 100)" @change="setKey('{{ $name }}', $event.target.valueAsNumber / 100, true)" aria-label="{{ $word }} in per cent">
                            </div>
                        @endforeach
                    </div>
                </template>
                <div class="border-t border-line pt-2">
                    <label class="label mb-0">Behind it
                        <select class="field min-h-10" x-shows="tried.handling.behind?.startsWith('#') ? 'colour' : (tried.handling.behind ?? '')" @change="$event.target.value === 'colour' ? press({ behind: '#2f3e55' }) : press({ behind: $event.target.value || false })" data-testid="behind">
                            <option value="">what the picture has there</option><option value="colour">a colour</option>@foreach ($others as $other)<option value="{{ $other->id }}">{{ $other->name }}</option>@endforeach
                        </select></label>
                    <div class="mt-2 flex flex-wrap items-center gap-2">
                        <template x-if="tried.handling.behind?.startsWith('#')"><input type="color" class="field h-10 w-16 p-1" x-shows="tried.handling.behind" @change="press({ behind: $event.target.value })" aria-label="Colour behind" data-testid="behind-colour"></template>
                        <button type="button" class="button min-h-9" @click="flatBehind()" title="A pure colour that the subject has least of, for the far end to take out again" data-testid="flat">Flat key colour for the far end</button>
                    </div>
                </div>
            </section>

            <section class="space-y-3" x-cloak x-show="tab === 'reading'" aria-label="Reading">
                <label class="label mb-0">Where it is looked at
                    <select class="field min-h-10" x-model="farEnd" data-testid="far-end">@foreach (FarEnd::cases() as $far)<option value="{{ $far->value }}">{{ $far->label() }} ({{ $far->width() }} wide)</option>@endforeach</select></label>
                <button type="button" class="button-main mt-1 min-h-10" :disabled="busy" @click="look()" x-text="busy ? 'Measuring…' : 'Measure the writing'" data-testid="measure">Measure the writing</button>
                <template x-if="found">
                    <div class="space-y-2">
                        <p :class="found.easy ? 'sheet px-3 py-2' : 'wrong'" x-text="found.sentence" data-testid="reading-said"></p>
                        <p class="text-sm text-soft"><span x-text="found.writing.length"></span> lines of writing were found; those that are too small are underlined in the picture above.</p>
                        <button type="button" class="button" x-show="proposes" @click="magnify()" x-text="`Magnify ${found.factor.toFixed(1)}× there`" data-testid="reading-magnify"></button>
                    </div>
                </template>
            </section>
            </fieldset>
        </div>
    </div>
</main>
@endsection
