@extends('show')
@section('title', 'Rig')

@section('content')
<main class="mx-auto max-w-6xl p-6">
    <h1 class="mb-1 text-3xl font-bold">Rig</h1>
    <p class="mb-4 text-soft">Everything that is connected to this show. A new source is never on air by itself.</p>

    @if ($mayOperate)
        <section class="mb-6" aria-label="Connect">
            <div class="flex flex-wrap gap-3" x-data>
                <button type="button" class="button-main" @click="$dispatch('connect', 'camera')" data-testid="connect-camera">Connect a camera</button>
                <button type="button" class="button" @click="$dispatch('connect', 'microphone')" data-testid="connect-microphone">Microphone</button>
                <button type="button" class="button" @click="$dispatch('connect', 'screen')" data-testid="connect-screen">Screen, window or tab</button>
                <label class="button cursor-pointer focus-within:outline-3">Still image
                    <input type="file" class="sr-only" accept="image/png,image/jpeg,image/webp,image/gif" data-testid="still-file" @change="$dispatch('connect-still', $event.target.files[0]); $event.target.value = ''">
                </label>
            </div>

            <div class="sheet mt-3 grid gap-5 p-5 md:grid-cols-[20rem_1fr]" x-data="connectCamera" x-cloak x-show="open" @connect.window="$event.detail === 'camera' ? begin() : end()">
                <video x-ref="look" muted playsinline class="aspect-video w-full rounded-lg bg-line" aria-label="Look at the chosen camera"></video>
                <div class="space-y-3">
                    <h2 class="text-xl font-bold">Connect a camera of this computer</h2>
                    <p class="wrong" x-show="wrong" x-text="wrong" role="alert" data-testid="camera-wrong"></p>
                    <div x-show="list.length" class="space-y-3">
                        <div><label class="label" for="camera">Camera</label>
                            <select id="camera" class="field" :value="device" @change="choose($event.target.value)"><template x-for="item in list" :key="item.id"><option :value="item.id" x-text="item.label"></option></template></select></div>
                        <div><label class="label" for="camera-name">Name in this show</label><input id="camera-name" class="field" maxlength="80" x-model="name"></div>
                    </div>
                    <div class="flex gap-3">
                        <button type="button" class="button-main" x-show="list.length" :disabled="busy || !name.trim()" @click="connect()" data-testid="camera-add">Add to the rig</button>
                        <button type="button" class="button" x-show="wrong" @click="refresh()">Try again</button>
                        <button type="button" class="button-quiet" @click="end()">Not now</button>
                    </div>
                </div>
            </div>

            <div class="sheet mt-3 grid gap-5 p-5 md:grid-cols-2" x-data="connectMicrophone" x-cloak x-show="open" @connect.window="$event.detail === 'microphone' ? begin() : end()">
                <div class="space-y-3">
                    <h2 class="text-xl font-bold">Microphone</h2>
                    <p class="wrong" x-show="wrong" x-text="wrong" role="alert" data-testid="microphone-wrong"></p>
                    <div x-show="list.length" class="space-y-3">
                        <div><label class="label" for="microphone">Microphone</label>
                            <select id="microphone" class="field" @change="choose($event.target.value)"><template x-for="item in list" :key="item.id"><option :value="item.id" x-text="item.label" :selected="item.id === device"></option></template></select></div>
                        <div><p class="flex justify-between text-sm font-semibold text-soft"><span>Speak: it must move</span><span x-ref="level" data-testid="microphone-level"></span></p><div class="meter" x-ref="bar"></div></div>
                        <div><label class="label" for="microphone-name">Name in this show</label><input id="microphone-name" class="field" maxlength="80" x-model="name"></div>
                    </div>
                    <div class="flex gap-3">
                        <button type="button" class="button-main" x-show="list.length" :disabled="busy || !name.trim()" @click="connect()" data-testid="microphone-add">Add to the rig</button>
                        <button type="button" class="button" x-show="wrong" @click="begin()">Try again</button>
                        <button type="button" class="button-quiet" @click="end()">Not now</button>
                    </div>
                </div>
                <div class="space-y-3">
                    <h2 class="text-xl font-bold">Loudspeaker</h2>
                    <div><label class="label" for="speaker">Loudspeaker</label>
                        <select id="speaker" class="field" x-model="speaker"><option value="">as this computer is set</option><template x-for="item in speakers" :key="item.id"><option :value="item.id" x-text="item.label"></option></template></select></div>
                    <button type="button" class="button" :disabled="busy" @click="tone()" data-testid="tone">Play a test tone</button>
                </div>
            </div>

            <div class="sheet mt-3 space-y-3 p-5" x-data="connectScreen" x-cloak x-show="open" @connect.window="$event.detail === 'screen' ? begin() : end()">
                <h2 class="text-xl font-bold">Screen, window or tab</h2>
                <p>The browser asks what to show. Messages and notices that appear there are seen too: close them first.</p>
                <p class="wrong" x-show="wrong" x-text="wrong" role="alert"></p>
                <div class="max-w-sm"><label class="label" for="screen-name">Name in this show</label><input id="screen-name" class="field" maxlength="80" x-model="name"></div>
                <div class="flex gap-3">
                    <button type="button" class="button-main" :disabled="busy || !name.trim()" @click="connect()" data-testid="screen-add">Choose and add</button>
                    <button type="button" class="button-quiet" @click="end()">Not now</button>
                </div>
            </div>

            <div class="sheet mt-3 space-y-3 p-5" x-data="connectStill" x-cloak x-show="open && (wrong || busy)" @connect-still.window="begin($event.detail)" @connect.window="end()">
                <p x-show="busy">Bringing the image…</p>
                <p class="wrong" x-show="wrong" x-text="wrong" role="alert" data-testid="still-wrong"></p>
                <button type="button" class="button-quiet" x-show="wrong" @click="end()">Got it</button>
            </div>
        </section>
    @endif

    <section id="sources" hx-get="/shows/{{ $show->id }}/rig" hx-trigger="show-changed from:body" hx-select="#sources" hx-swap="outerHTML" x-data="rigList" aria-label="Sources">
        @if ($sources->isEmpty())
            <p class="sheet p-8 text-lg">Nothing is connected yet. Connect a camera first: it gets a full-screen picture of its own at once.</p>
        @endif
        <ul class="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
            @foreach ($sources as $source)
                <li class="sheet overflow-hidden" data-testid="source-card" data-source-id="{{ $source->id }}" :data-state="health('{{ $source->id }}').word">
                    @if ($source->kind->hasPicture())
                        <canvas data-view="source" data-id="{{ $source->id }}" width="320" height="180" class="block aspect-video w-full bg-line" role="img" aria-label="Picture of {{ $source->name }}"></canvas>
                    @else
                        <div class="flex aspect-video flex-col justify-center gap-2 bg-paper px-6">
                            <p class="flex justify-between text-sm font-semibold text-soft"><span>Level</span><span data-meter-text></span></p>
                            <div class="meter" data-meter="{{ $source->id }}"></div>
                        </div>
                    @endif
                    <div class="p-3">
                        <div class="flex items-baseline justify-between gap-2">
                            <h2 class="truncate text-lg font-bold" title="{{ $source->name }}">{{ $source->name }}</h2>
                            <p class="shrink-0 text-sm text-soft">{{ $source->kind->value }} <span x-text="size('{{ $source->id }}')"></span></p>
                        </div>
                        <p class="text-sm font-semibold" x-text="health('{{ $source->id }}').word" data-testid="source-state"></p>
                        <p class="wrong my-2 text-sm" x-show="health('{{ $source->id }}').sentence" x-text="health('{{ $source->id }}').sentence" data-testid="source-wrong"></p>
                        @if ($mayOperate)
                            <div class="flex flex-wrap items-center gap-x-1" x-data="{ renaming: false, name: @js($source->name) }">
                                <button type="button" class="button min-h-9" x-show="health('{{ $source->id }}').help" x-text="health('{{ $source->id }}').help" @click="help('{{ $source->id }}')"></button>
                                @if (! $source->kind->hasPicture())
                                    <button type="button" class="button min-h-9" @click="mute('{{ $source->id }}')" :aria-pressed="muted('{{ $source->id }}')" x-text="muted('{{ $source->id }}') ? 'Muted: open it' : 'Mute'" data-testid="mute"></button>
                                @endif
                                <form class="flex w-full gap-2" x-cloak x-show="renaming" @submit.prevent="renaming = false; edit('source.rename', { source: '{{ $source->id }}', name })">
                                    <input class="field min-h-9" maxlength="80" required x-model="name" aria-label="New name of {{ $source->name }}"><button class="button min-h-9">Save</button>
                                </form>
                                <button type="button" class="button-quiet" x-show="!renaming" @click="renaming = true">Rename</button>
                                <button type="button" class="button-quiet" x-show="!renaming" @click="edit('source.remove', { source: '{{ $source->id }}' })" data-testid="remove">Remove</button>
                            </div>
                        @endif
                    </div>
                </li>
            @endforeach
        </ul>
    </section>
</main>
@endsection
