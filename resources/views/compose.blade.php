@extends('show')
@section('title', $picture === null ? 'Compose a picture' : "Compose {$picture->name}")

@php($canvas = ['width' => $show->canvas_width, 'height' => $show->canvas_height])
@section('content')
<main class="grid gap-x-5 gap-y-3 p-3 lg:grid-cols-[minmax(0,1fr)_23rem] lg:px-5" x-data="compose({{ Js::from($start) }}, {{ Js::from($words['purposes']) }}, {{ Js::from($limits) }})" @keydown.window="key($event)" :data-on-air="onAir" data-compose>
    <div class="flex flex-wrap items-center gap-2 lg:col-span-2">
        <a class="button-quiet -ml-2" href="/shows/{{ $show->id }}/pictures" hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML" data-part="back">Pictures</a>
        <h1 class="text-2xl font-bold">{{ $picture === null ? 'Compose a picture' : 'Compose' }}</h1>
        <label class="sr-only" for="compose-name">Name</label>
        <input id="compose-name" class="field min-h-10 w-52" maxlength="80" placeholder="Name, or leave it to us" x-model="e.draft.name" data-testid="compose-name">
        <label class="sr-only" for="compose-group">Group on the desk</label>
        <select id="compose-group" class="field min-h-10 w-32" x-model="e.draft.group">@foreach ($words['groups'] as $group)<option value="{{ $group->value }}">{{ $group->label() }}</option>@endforeach</select>
        <button type="button" class="button min-h-10" @click="e.undo()" :disabled="!e.canUndo" title="Ctrl Z" data-testid="compose-undo">Undo</button>
        <button type="button" class="button min-h-10" @click="e.redo()" :disabled="!e.canRedo" title="Ctrl Y" data-testid="compose-redo">Redo</button>
        <div class="ml-auto flex flex-wrap items-center gap-2">
            @if ($picture !== null && ! $own)
                <button type="button" class="button min-h-10" @click="e.startAgain()" x-show="e.canUndo">As it was</button>
                <button type="button" class="button min-h-10" @click="make()">Keep as another picture</button>
                <button type="button" class="button-main min-h-10" x-show="!onAir" @click="change('at-once')" data-testid="compose-change">Change the picture</button>
            @else
                <button type="button" class="button-main min-h-10" @click="make()" data-testid="compose-make">Keep as a picture</button>
            @endif
        </div>
    </div>
    @if ($picture !== null && ! $own)
        <div class="wrong flex flex-wrap items-center gap-2 lg:col-span-2" x-cloak x-show="onAir" data-testid="on-air-choice">
            <p class="mr-auto font-semibold">This picture is on program. Nothing reaches the audience until you say how:</p>
            <button type="button" class="button-main min-h-10" @click="change('glide')" data-testid="compose-glide">Glide there now</button>
            <button type="button" class="button min-h-10" @click="change('next-take')" data-testid="compose-next-take">At the next take</button>
            <button type="button" class="button min-h-10" @click="change('at-once')">At once</button>
        </div>
    @endif
    <p class="wrong lg:col-span-2" x-cloak x-show="e.wrong" x-text="e.wrong" role="alert" data-testid="compose-wrong"></p>
    <p class="lg:col-span-2" x-cloak x-show="note && !e.wrong" x-text="note" role="status" data-testid="compose-note"></p>

    <section class="min-w-0" aria-label="Picture">
        <div class="compose-stage" x-data="composeArt" style="aspect-ratio: {{ $canvas['width'] }} / {{ $canvas['height'] }}; max-width: calc((100vh - var(--beside)) * {{ $canvas['width'] }} / {{ $canvas['height'] }})" data-part="surface" @pointerdown="e.chosen = []" data-testid="compose-stage">
            <canvas data-part="canvas" width="{{ $canvas['width'] }}" height="{{ $canvas['height'] }}" class="block h-full w-full" role="img" aria-label="The picture as it will look" data-testid="compose-canvas"></canvas>
            <div class="pointer-events-none absolute inset-0" x-show="safe" aria-hidden="true">
                @foreach ($safe as $name => $area)
                    <span class="compose-safe" data-area="{{ $name }}" style="left: {{ 100 * $area['x'] / $canvas['width'] }}%; top: {{ 100 * $area['y'] / $canvas['height'] }}%; width: {{ 100 * $area['width'] / $canvas['width'] }}%; height: {{ 100 * $area['height'] / $canvas['height'] }}%"></span>
                @endforeach
            </div>
            <template x-for="place in e.windows" :key="place.slot">
                <button type="button" class="compose-window" x-show="!place.hidden" :data-slot="place.slot" :data-purpose="place.purpose" :data-locked="place.locked" :style="styleOf(place)" :aria-pressed="e.chosen.includes(place.slot)" :aria-label="`Window ${e.nameOf(place)}: arrow keys move it`" @pointerdown="take($event, place.slot, 'middle')" @focus="if (!e.chosen.includes(place.slot)) e.choose(place.slot)" data-testid="compose-window">
                    <span class="compose-label" x-text="e.nameOf(place)"></span>
                </button>
            </template>
            <template x-if="e.one && !e.one.locked && !e.one.hidden">
                <div class="pointer-events-none absolute" :style="styleOf(e.one)">
                    <template x-for="hold in holds" :key="hold"><span class="hold pointer-events-auto" :data-hold="hold" @pointerdown="take($event, e.one.slot, hold)" aria-hidden="true"></span></template>
                    <span class="compose-numbers" x-text="`${number('x')}, ${number('y')} · ${number('width')} × ${number('height')}${unit === '%' ? ' %' : ''}`" data-testid="compose-numbers"></span>
                </div>
            </template>
            <template x-for="(guide, i) in hand?.guides ?? []" :key="i"><span class="compose-guide" :data-axis="guide.axis" :data-why="guide.why" :style="guideStyle(guide)" aria-hidden="true" data-testid="compose-guide"></span></template>
            <template x-for="(hole, i) in holes" :key="i"><span class="compose-hole" :data-shape="hole.shape" :style="{ ...style(hole), ...outline(hole) }" data-testid="compose-hole"></span></template>
            <button type="button" class="absolute inset-0 cursor-crosshair" x-show="picking" @click="pick($event)" aria-label="Point at the colour of the places" data-testid="compose-pick"></button>
            <div class="compose-ask" x-show="e.one && e.one.purpose === 'art'" @pointerdown.stop>
                <span x-show="holes.length === 0" class="flex gap-2"><button type="button" class="button min-h-9" @click="find()" data-testid="find-holes">Find the places</button><button type="button" class="button min-h-9" @click="point()" data-testid="point-holes">Point at their colour</button></span>
                <span x-show="holes.length > 0" class="flex items-center gap-2"><span x-text="`${holes.length} ${holes.length === 1 ? 'place' : 'places'} found`" class="font-semibold"></span><button type="button" class="button-main min-h-9" @click="fit()" data-testid="fit-holes">Put windows there</button><button type="button" class="button min-h-9" @click="holes = []">Leave it</button></span>
            </div>
        </div>
        <div class="mt-2 flex flex-wrap items-center gap-2" role="group" aria-label="Add a window">
            <span class="text-sm font-semibold text-soft">Add</span>
            @foreach (['material' => 'Material', 'person' => 'Person', 'guest' => 'Guest', 'room' => 'Room', 'anything' => 'Anything', 'words' => 'Free for words', 'background' => 'Background', 'art' => 'Frame art'] as $purpose => $word)
                <button type="button" class="button min-h-9 px-2.5 text-sm" @click="e.add('{{ $purpose }}')" data-testid="add-{{ $purpose }}">{{ $word }}</button>
            @endforeach
            <label class="ml-auto flex items-center gap-1.5 text-sm"><input type="checkbox" x-model="safe" class="size-4 accent-(--accent)"> Safe areas</label>
        </div>
        <div class="mt-2 flex flex-wrap items-center gap-2" role="group" aria-label="Put windows in order">
            <span class="text-sm font-semibold text-soft">In line with the last chosen</span>
            @foreach ($words['arrange'] as $how)
                <button type="button" class="compose-arrange" @click="e.arrange('{{ $how->value }}')" :disabled="e.chosen.length < {{ in_array($how->value, ['across', 'down'], true) ? 3 : 2 }}" aria-label="{{ $how->label() }}" title="{{ $how->label() }}" data-testid="arrange-{{ $how->value }}"><x-arrange-sign :how="$how->value" /></button>
            @endforeach
        </div>
        <div class="mt-2 border-t border-line pt-2" x-data="composeHidden">
            <div class="flex flex-wrap items-center gap-3">
                <p class="font-semibold" x-text="said" data-testid="coverage-said"></p>
                <button type="button" class="button min-h-9" @click="look()" x-show="e.answer?.coverage" data-testid="look-for-harm">What is under it?</button>
            </div>
            <template x-for="(sentence, i) in words" :key="i"><p class="wrong mt-1" x-text="sentence"></p></template>
            <template x-for="line in lines" :key="line.slot">
                <p class="mt-1 flex flex-wrap items-center gap-2" :class="line.better && 'wrong'" data-testid="harm-said"><span x-text="line.said"></span><button type="button" class="button min-h-9" x-show="line.better" @click="move(line.slot, line.better.rect)" x-text="`Move it ${line.better?.label ?? ''}`" data-testid="harm-move"></button></p>
            </template>
            <template x-teleport="[data-testid=compose-stage]"><div class="pointer-events-none absolute inset-0" x-show="now" aria-hidden="true"><template x-for="(cell, i) in now?.cells ?? []" :key="i"><span class="compose-busy" :style="cellStyle(cell)"></span></template></div></template>
        </div>
    </section>

    <aside class="min-w-0 space-y-3" aria-label="Windows">
        <div class="sheet p-3">
            <h2 class="flex items-center justify-between font-bold">Windows, front to back <label class="flex items-center gap-1.5 text-sm font-normal">Ground <input type="color" class="h-7 w-10" :value="e.draft.layout.background" @change="e.step((draft) => draft.layout.background = $event.target.value)" aria-label="Colour behind all windows" data-testid="compose-background"></label></h2>
            <p class="text-soft" x-show="e.windows.length === 0">None yet. Add the material first; it fills the canvas.</p>
            <ul class="mt-1 max-h-56 overflow-y-auto" data-part="list" data-testid="compose-list">
                <template x-for="place in e.frontFirst" :key="place.slot">
                    <li class="compose-row" :data-slot="place.slot" :data-chosen="e.chosen.includes(place.slot)">
                        <span class="drag-handle" title="Drag to put it further in front or behind" aria-hidden="true">⠿</span>
                        <button type="button" class="min-w-0 grow truncate text-left font-semibold" @click="e.choose(place.slot, $event.shiftKey)" :aria-pressed="e.chosen.includes(place.slot)" x-text="e.nameOf(place)"></button>
                        <button type="button" class="compose-small" @click="e.order(place.slot, 1)" :aria-label="`${e.nameOf(place)} further in front`">▲</button>
                        <button type="button" class="compose-small" @click="e.order(place.slot, -1)" :aria-label="`${e.nameOf(place)} further behind`">▼</button>
                        <button type="button" class="compose-small" @click="e.edit(place.slot, (one) => one.hidden = !one.hidden)" :aria-pressed="place.hidden" :aria-label="`Hide ${e.nameOf(place)}`" x-text="place.hidden ? 'Show' : 'Hide'"></button>
                        <button type="button" class="compose-small" @click="e.edit(place.slot, (one) => one.locked = !one.locked)" :aria-pressed="place.locked" :aria-label="`Lock ${e.nameOf(place)}`" x-text="place.locked ? 'Unlock' : 'Lock'"></button>
                    </li>
                </template>
            </ul>
        </div>

        <template x-if="e.one">
            <div class="sheet space-y-3 p-3" data-testid="compose-one">
                <div class="grid grid-cols-2 gap-2">
                    <label class="text-xs font-semibold text-soft" x-show="e.one.purpose !== 'words'">Source<select class="field min-h-9 px-2 text-base" :value="e.draft.fills[e.one.slot] ?? ''" @change="e.fill(e.one.slot, $event.target.value)" data-testid="compose-source"><option value="">Nobody yet</option>@foreach ($sources as $source)<option value="{{ $source->id }}" :selected="e.draft.fills[e.one.slot] === '{{ $source->id }}'">{{ $source->name }}</option>@endforeach</select></label>
                    <label class="text-xs font-semibold text-soft">For<select class="field min-h-9 px-2 text-base" @change="e.edit(e.one.slot, (one) => one.purpose = $event.target.value)" data-testid="compose-purpose">@foreach ($words['purposes'] as $value => $word)<option value="{{ $value }}" :selected="e.one.purpose === '{{ $value }}'">{{ $word }}</option>@endforeach</select></label>
                </div>
                <div class="grid grid-cols-[repeat(4,minmax(0,1fr))_3.2rem] gap-1.5">
                    @foreach (['x' => 'from left', 'y' => 'from top', 'width' => 'width', 'height' => 'height'] as $side => $word)
                        <label class="text-xs font-semibold text-soft">{{ $word }}<input class="field min-h-9 px-1.5 text-base" inputmode="decimal" x-shows="number('{{ $side }}')" @change="setNumber('{{ $side }}', $event.target.value)" :disabled="e.one.locked" data-testid="number-{{ $side }}"></label>
                    @endforeach
                    <label class="text-xs font-semibold text-soft">in<select class="field min-h-9 px-1 text-base" x-model="unit" data-testid="compose-unit"><option value="px">px</option><option value="%">%</option></select></label>
                </div>
                <div class="grid grid-cols-3 gap-2">
                    <label class="text-xs font-semibold text-soft">Shape<select class="field min-h-9 px-2 text-base" @change="e.step(null, { shape: { slot: e.one.slot, shape: $event.target.value } })" data-testid="compose-shape">@foreach ($words['shapes'] as $shape)<option value="{{ $shape->value }}" :selected="e.one.shape === '{{ $shape->value }}'">{{ $shape->label() }}</option>@endforeach</select></label>
                    <label class="text-xs font-semibold text-soft">Proportion<select class="field min-h-9 px-2 text-base" @change="e.step(null, { aspect: { slot: e.one.slot, aspect: $event.target.value } })" data-testid="compose-aspect">@foreach ($words['aspects'] as $aspect)<option value="{{ $aspect->value }}" :selected="e.one.aspect === '{{ $aspect->value }}'">{{ $aspect->label() }}</option>@endforeach</select></label>
                    <label class="text-xs font-semibold text-soft">Picture<select class="field min-h-9 px-2 text-base" @change="e.edit(e.one.slot, (one) => { if ($event.target.value) one.fit = $event.target.value; else delete one.fit; })" data-testid="compose-fit">@foreach (['' => 'as it suits', 'cover' => 'fills it', 'contain' => 'all of it', 'stretch' => 'stretched'] as $value => $word)<option value="{{ $value }}" :selected="(e.one.fit ?? '') === '{{ $value }}'">{{ $word }}</option>@endforeach</select></label>
                </div>
                @foreach ([
                    ['Rounding', 'radius', 0, 0.5, 0.01, 'one.radius', "e.one.shape === 'rounded'"],
                    ['Border', 'border', 0, 30, 1, 'one.border.width', 'true'],
                    ['Shadow', 'shadow', 0, 80, 2, 'one.shadow.size', 'true'],
                    ['Closer', 'zoom', 1, 8, 0.05, 'one.view.zoom', 'true'],
                    ['Left and right', 'view-x', 0, 1, 0.01, 'one.view.x', 'true'],
                    ['Up and down', 'view-y', 0, 1, 0.01, 'one.view.y', 'true'],
                ] as [$word, $name, $least, $most, $step, $path, $when])
                    <label class="flex items-center gap-2 text-sm" x-show="{{ $when }}"><span class="w-24 shrink-0 font-semibold text-soft">{{ $word }}</span>
                        <input type="range" class="min-w-0 grow accent-(--accent)" min="{{ $least }}" max="{{ $most }}" step="{{ $step }}" x-shows="e.{{ $path }}" @input="e.tryOut(e.one.slot, (one) => {{ $path }} = Number($event.target.value))" @change="e.edit(e.one.slot, (one) => {{ $path }} = Number($event.target.value))" data-testid="compose-{{ $name }}">
                        <span class="w-10 text-right tabular-nums" x-text="Math.round(e.{{ $path }} * 100) / 100"></span>
                        @if ($name === 'border')<input type="color" class="h-7 w-9" :value="e.one.border.colour" @change="e.edit(e.one.slot, (one) => one.border.colour = $event.target.value)" aria-label="Colour of the border">@endif
                    </label>
                @endforeach
                <div class="flex flex-wrap gap-2">
                    <button type="button" class="button min-h-9 px-3 text-sm" @click="e.edit(e.one.slot, (one) => one.turn = (one.turn + 1) % 4)" data-testid="compose-turn">Quarter turn</button>
                    <button type="button" class="button min-h-9 px-3 text-sm" @click="e.duplicate(e.one.slot)" title="Ctrl D, or drag with Alt" data-testid="compose-duplicate">Duplicate</button>
                    <button type="button" class="button min-h-9 px-3 text-sm" @click="e.remove()" :disabled="e.one.locked" data-testid="compose-remove">Delete</button>
                </div>
            </div>
        </template>
        <p class="text-sm text-soft" x-show="!e.one && e.windows.length > 0">Press a window to change it. Drag moves it; edges and corners resize it; Shift chooses several. Arrow keys move by a pixel, with Shift by ten; with Alt they resize.</p>
    </aside>
</main>
@endsection
