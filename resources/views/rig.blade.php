@extends('show')
@section('title', 'Rig')

@section('content')
<main class="mx-auto max-w-6xl p-6">
    <h1 class="mb-1 text-3xl font-bold">Rig</h1>
    <p class="mb-4 text-soft">Everything that is connected to this show. A new source is never on air by itself.</p>

    @if ($mayOperate)
        <section class="mb-6" aria-label="Connect">
            <div class="flex flex-wrap gap-2" x-data>
                <button type="button" class="button-main" @click="$dispatch('connect', { part: 'camera' })" data-testid="connect-camera">Connect a camera</button>
                <button type="button" class="button" @click="$dispatch('connect', { part: 'microphone' })" data-testid="connect-microphone">Microphone</button>
                <button type="button" class="button" @click="$dispatch('connect', { part: 'screen' })" data-testid="connect-screen">Screen, window or tab</button>
                <button type="button" class="button" @click="$dispatch('connect', { part: 'place', kind: 'phone' })" data-testid="connect-phone">Phone or other computer</button>
                <button type="button" class="button" @click="$dispatch('connect', { part: 'network-camera' })" data-testid="connect-network-camera">Network camera</button>
                <label class="button cursor-pointer focus-within:outline-3">Image, PDF, clip or music
                    <input type="file" class="sr-only" accept="image/*,application/pdf,video/*,audio/*,.svg,.ogg" data-testid="still-file" @change="$dispatch('connect-file', $event.target.files[0]); $event.target.value = ''">
                </label>
                <button type="button" class="button" @click="$dispatch('connect', { part: 'place', kind: 'test-picture' })" data-testid="connect-test-picture">Test picture</button>
                <button type="button" class="button" @click="$dispatch('connect', { part: 'place', kind: 'colour' })" data-testid="connect-colour">Colour</button>
                <button type="button" class="button" @click="$dispatch('connect', { part: 'place', kind: 'guest' })" data-testid="connect-guest">Place for a guest</button>
            </div>

            <div class="sheet mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-2" x-data="plugList" x-cloak x-show="waiting.length" data-testid="waiting">
                <p class="font-semibold">Plugged in, waiting to be connected:</p>
                <template x-for="device in waiting" :key="device.kind + device.device">
                    <button type="button" class="button min-h-9" @click="$dispatch('connect', { part: device.kind, device: device.device })" x-text="nameOf(device)" data-testid="waiting-device"></button>
                </template>
            </div>

            <div class="sheet mt-3 grid gap-5 p-5 md:grid-cols-[20rem_1fr]" x-data="connectCamera" x-cloak x-show="open" @connect.window="$event.detail.part === 'camera' ? begin($event.detail.device) : end()">
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

            <div class="sheet mt-3 grid gap-5 p-5 md:grid-cols-2" x-data="connectMicrophone" x-cloak x-show="open" @connect.window="$event.detail.part === 'microphone' ? begin($event.detail.device) : end()">
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

            <div class="sheet mt-3 space-y-3 p-5" x-data="connectScreen" x-cloak x-show="open" @connect.window="$event.detail.part === 'screen' ? begin() : end()">
                <h2 class="text-xl font-bold">Screen, window or tab</h2>
                <p>The browser asks what to show. Messages and notices that appear there are seen too: close them first. It is not on air until somebody takes it, and the key <span class="keycap">.</span> on the desk hides every shared screen at once, in recordings too.</p>
                <p class="wrong" x-show="wrong" x-text="wrong" role="alert"></p>
                <div class="grid max-w-2xl gap-3 sm:grid-cols-2">
                    <div><label class="label" for="screen-name">Name in this show</label><input id="screen-name" class="field" maxlength="80" x-model="name"></div>
                    <div><label class="label" for="screen-detail">What counts on it</label><select id="screen-detail" class="field" x-model="detail"><option value="sharp">sharp letters</option><option value="smooth">smooth motion</option></select></div>
                </div>
                <div class="flex gap-3">
                    <button type="button" class="button-main" :disabled="busy || !name.trim()" @click="connect()" data-testid="screen-add">Choose and add</button>
                    <button type="button" class="button-quiet" @click="end()">Not now</button>
                </div>
            </div>

            <div class="sheet mt-3 space-y-3 p-5" x-data="connectFile" x-cloak x-show="open" @connect-file.window="begin($event.detail)" @connect.window="end()">
                <div x-show="busy">
                    <p>Bringing “<span x-text="file"></span>”: <span x-text="Math.round(share * 100)" data-testid="upload-share"></span> %</p>
                    <progress class="mt-2 h-3 w-full accent-(--accent)" max="1" :value="share" aria-label="How much has arrived"></progress>
                </div>
                <p class="wrong" x-show="wrong" x-text="wrong" role="alert" data-testid="still-wrong"></p>
                <button type="button" class="button-quiet" x-show="wrong" @click="end()">Got it</button>
            </div>

            <form class="sheet mt-3 space-y-3 p-5" x-data="connectNetworkCamera" x-cloak x-show="open" @connect.window="$event.detail.part === 'network-camera' ? begin() : end()" @submit.prevent="connect()">
                <h2 class="text-xl font-bold">Network camera</h2>
                <p class="wrong" x-show="wrong" x-text="wrong" role="alert" data-testid="network-camera-wrong"></p>
                <div class="grid gap-3 sm:grid-cols-4">
                    <div><label class="label" for="camera-address">Address</label><input id="camera-address" class="field" x-model="address" placeholder="192.168.10.20" autocomplete="off" required></div>
                    <div><label class="label" for="camera-user">Its user</label><input id="camera-user" class="field" x-model="user" autocomplete="off"></div>
                    <div><label class="label" for="camera-password">Its password</label><input id="camera-password" class="field" type="password" x-model="password" autocomplete="off"></div>
                    <div><label class="label" for="network-camera-name">Name in this show</label><input id="network-camera-name" class="field" maxlength="80" x-model="name" required></div>
                </div>
                <div class="flex flex-wrap gap-3">
                    <button class="button-main" :disabled="busy" x-text="busy ? 'Looking for it…' : 'Look for it and add'" data-testid="network-camera-add">Look for it and add</button>
                    @if ($standInCamera)<button type="button" class="button" @click="standIn('{{ $standInCamera }}', 'operator', 'reading-stones')" data-testid="stand-in-camera">Use the simulated one</button>@endif
                    <button type="button" class="button-quiet" @click="end()">Not now</button>
                </div>
            </form>

            <form class="sheet mt-3 space-y-3 p-5" x-data="connectPlace" x-cloak x-show="open" @connect.window="$event.detail.part === 'place' ? begin($event.detail.kind) : end()" @submit.prevent="connect()">
                <h2 class="text-xl font-bold" x-text="{ phone: 'Phone, tablet or other computer', guest: 'Place for a guest', colour: 'Colour', 'test-picture': 'Test picture' }[kind]"></h2>
                <p x-show="kind === 'phone'">It gets a place in the rig, which can be laid out at once, and a link and a code that are opened on the device. Nothing is installed there.</p>
                <p x-show="kind === 'guest'">The place can be laid out and framed before anybody is there.</p>
                <p class="wrong" x-show="wrong" x-text="wrong" role="alert"></p>
                <div class="flex flex-wrap items-end gap-3">
                    <div class="grow"><label class="label" for="place-name">Name in this show</label><input id="place-name" class="field" maxlength="80" x-model="name" required></div>
                    <div x-show="kind === 'colour'"><label class="label" for="place-colour">Colour</label><input id="place-colour" type="color" class="field w-24" x-model="colour"></div>
                    <div x-show="kind === 'test-picture'"><label class="label" for="place-pattern">Which</label><select id="place-pattern" class="field" x-model="pattern">@foreach (\Rhetorix\Core\Picture\TestPicture::cases() as $test)<option value="{{ $test->value }}">{{ $test->label() }}</option>@endforeach</select></div>
                    <button class="button-main" :disabled="busy" data-testid="place-add">Add to the rig</button>
                    <button type="button" class="button-quiet" @click="end()">Not now</button>
                </div>
            </form>
        </section>
    @endif

    <x-budget :show="$show" :forecast="$forecast" :feeds="$feeds" :mayOperate="$mayOperate" />

    <section id="sources" hx-get="/shows/{{ $show->id }}/rig" hx-trigger="show-changed from:body" hx-select="#sources" hx-ext="grow" hx-swap="grow" hx-disinherit="*" x-data="rigList" aria-label="Sources">
        @if ($sources->isEmpty())
            <p class="sheet p-8 text-lg">Nothing is connected yet. Connect a camera first: it gets a full-screen picture of its own at once.</p>
        @endif
        <ul class="grid items-start gap-4 sm:grid-cols-2 lg:grid-cols-3">
            @foreach ($sources as $source)
                <x-source-card :source="$source" :show="$show" :mayOperate="$mayOperate" :decks="$sources->where('kind', \Rhetorix\Core\Rig\SourceKind::Deck)" />
            @endforeach
        </ul>
    </section>
</main>
@endsection
