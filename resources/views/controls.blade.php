@extends('show')
@section('title', 'Controls')

@section('content')
<main class="mx-auto max-w-5xl p-4" x-data="controlsPage">
    <div class="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
            <h1 class="text-2xl font-bold">Controls</h1>
            <p class="text-soft">Where each thing of the desk is, for you alone. Press a key cap and then the key that you want; Backspace takes it off, Escape leaves it.</p>
        </div>
        <button type="button" class="button" @click="usual()" data-testid="controls-usual">All as usual</button>
    </div>
    <template x-for="group in groups" :key="group.name">
        <section class="mb-5">
            <h2 class="mb-1 text-lg font-bold text-soft" x-text="group.name"></h2>
            <ul class="sheet grid gap-x-6 px-3 py-1" :class="group.name === 'Cards' ? 'lg:grid-cols-2' : ''">
                <template x-for="action in group.actions" :key="action.name">
                    <li class="flex min-h-12 flex-wrap items-center gap-2 border-b border-line py-1 last:border-0" :data-action="action.name" data-testid="control">
                        <span class="min-w-40 flex-1 font-semibold" x-text="action.label"></span>
                        <span class="text-sm font-semibold" x-show="conflict(action.name) !== ''" x-text="conflict(action.name)" data-testid="conflict"></span>
                        <button type="button" class="button min-h-10 min-w-24 px-3" @click="wait(action.name, 'key')" :aria-pressed="isWaiting(action.name, 'key')" :aria-label="`Key of: ${action.label}`" x-show="!action.travels" data-testid="control-key"><span x-text="isWaiting(action.name, 'key') ? 'Press a key' : cap(action.name)"></span></button>
                        <button type="button" class="button min-h-10 min-w-36 px-3 text-sm" @click="wait(action.name, 'other')" :aria-pressed="isWaiting(action.name, 'other')" :aria-label="`Pad, knob or button of: ${action.label}`" data-testid="control-other"><span x-text="isWaiting(action.name, 'other') ? 'Move or press it' : other(action.name) || 'Pad or knob…'"></span></button>
                        <button type="button" class="button-quiet min-h-10" x-show="other(action.name) !== ''" @click="forget(action.name)">Take off</button>
                    </li>
                </template>
            </ul>
        </section>
    </template>
    <p class="text-soft">Pads and knobs are MIDI notes and controls, and the buttons of a game pad. A presentation clicker sends the keys Page down and Page up.</p>
</main>
@endsection
