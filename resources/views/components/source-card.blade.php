@props(['source', 'show', 'mayOperate', 'decks'])
@php($kind = $source->kind)
@php($core = $source->toSource())
<li {{ $attributes->class('sheet overflow-hidden') }} data-testid="source-card" data-grow="{{ $source->id }}" data-source-id="{{ $source->id }}" :data-state="health('{{ $source->id }}').state">
    @if ($core->hasPicture())
        <div x-data="handling('{{ $source->id }}')">
            <canvas data-view="source" data-id="{{ $source->id }}" width="320" height="180" class="block aspect-video w-full cursor-zoom-in bg-line" role="img" aria-label="Picture of {{ $source->name }}" @if ($mayOperate) @click="magnifyAt($event)" @endif></canvas>
        </div>
    @else
        <div class="flex aspect-video flex-col justify-center gap-2 bg-paper px-6">
            <p class="flex justify-between text-sm font-semibold text-soft"><span>Level</span><span data-meter-text></span></p>
            <div class="meter" data-meter="{{ $source->id }}"></div>
        </div>
    @endif
    <div class="p-3">
        <div class="flex items-baseline justify-between gap-2">
            <h2 class="truncate text-lg font-bold" title="{{ $source->name }}">{{ $source->name }}</h2>
            <p class="shrink-0 text-sm text-soft">{{ $kind->label() }} <span x-text="size('{{ $source->id }}')"></span></p>
        </div>
        <p class="text-sm"><span class="font-semibold" x-text="health('{{ $source->id }}').word" data-testid="source-state"></span> <span class="text-soft" x-text="health('{{ $source->id }}').measured" data-testid="source-measured"></span></p>
        <p class="wrong my-2 text-sm" x-cloak x-show="health('{{ $source->id }}').sentence" x-text="health('{{ $source->id }}').sentence" data-testid="source-wrong"></p>
        @if ($mayOperate)
            @if ($kind->isDevice())
                <div x-data="plugList" x-cloak x-show="(offers['{{ $source->id }}'] ?? []).length">
                    <p class="mt-2 text-sm">A device of the same name is plugged in. Is it this one?</p>
                    <template x-for="device in offers['{{ $source->id }}'] ?? []" :key="device.device"><button type="button" class="button mt-1 min-h-9 w-full" @click="rematch('{{ $source->id }}', device)" x-text="`Yes, ${nameOf(device)}`" data-testid="rematch"></button></template>
                </div>
            @endif
            @if ($kind->value === 'deck')<x-handling class="mt-2" :id="$source->id" :name="$source->name" kind="deck" deck :hasPicture="false" />@endif
            @if ($kind->value === 'clip')<x-handling class="mt-2" :id="$source->id" :name="$source->name" kind="clip" clip :hasPicture="false" />@endif
            <div class="mt-1 flex flex-wrap items-center gap-x-1" x-data="{ part: '', name: @js($source->name) }">
                <button type="button" class="button min-h-9" x-cloak x-show="health('{{ $source->id }}').help" x-text="health('{{ $source->id }}').help" @click="help('{{ $source->id }}')"></button>
                @if ($kind->value === 'microphone')
                    <button type="button" class="button min-h-9" @click="mute('{{ $source->id }}')" :aria-pressed="muted('{{ $source->id }}')" x-text="muted('{{ $source->id }}') ? 'Muted: open it' : 'Mute'" data-testid="mute"></button>
                @endif
                @if ($kind->value === 'phone')
                    <button type="button" class="button min-h-9" :aria-expanded="part === 'link'" @click="part = part === 'link' ? '' : 'link'" data-testid="show-link">Link and code</button>
                @endif
                @if ($core->hasPicture() && ! in_array($kind->value, ['guest', 'colour', 'test-picture'], true))
                    <button type="button" class="button-quiet" :aria-expanded="part === 'handle'" @click="part = part === 'handle' ? '' : 'handle'" data-testid="handle">Handle</button>
                @endif
                @if ($core->hasPicture() && ! in_array($kind->value, ['guest', 'colour', 'test-picture'], true))
                    <a class="button-quiet" href="/shows/{{ $show->id }}/sources/{{ $source->id }}/adjust" hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML" data-testid="adjust-link">Adjust</a>
                @endif
                @if (in_array($kind->value, ['camera', 'screen', 'deck', 'colour', 'test-picture'], true))
                    <button type="button" class="button-quiet" :aria-expanded="part === 'set'" @click="part = part === 'set' ? '' : 'set'" data-testid="set">Set</button>
                @endif
                <button type="button" class="button-quiet" @click="part = part === 'name' ? '' : 'name'">Rename</button>
                <button type="button" class="button-quiet" @click="edit('source.remove', { source: '{{ $source->id }}' })" data-testid="remove">Remove</button>

                <form class="flex w-full gap-2" x-cloak x-show="part === 'name'" @submit.prevent="part = ''; edit('source.rename', { source: '{{ $source->id }}', name })">
                    <input class="field min-h-9" maxlength="80" required x-model="name" aria-label="New name of {{ $source->name }}"><button class="button min-h-9">Save</button>
                </form>
                @if ($core->hasPicture())
                    <template x-if="part === 'handle'"><x-handling class="mt-2 w-full" :id="$source->id" :name="$source->name" :kind="$kind->value" :device="$kind->isDevice() || $kind->value === 'network-camera'" /></template>
                @endif
                <div class="mt-2 w-full space-y-2" x-cloak x-show="part === 'set'">
                    @if ($kind->value === 'camera')
                        <label class="label">Size and rate to ask for
                            <select class="field min-h-9" data-testid="camera-size" @change="const wish = JSON.parse($event.target.value); edit('source.set', { source: '{{ $source->id }}', settings: wish })">
                                <option>choose…</option>
                                <template x-for="size in sizes('{{ $source->id }}')" :key="size.label"><option :value="JSON.stringify({ width: size.width, height: size.height, rate: size.rate })" x-text="size.label"></option></template>
                            </select></label>
                    @endif
                    @if ($kind->value === 'screen')
                        <label class="label">What counts on it
                            <select class="field min-h-9" @change="edit('source.set', { source: '{{ $source->id }}', settings: { detail: $event.target.value } })">
                                <option value="sharp" @selected($source->setting('detail') !== 'smooth')>sharp letters</option><option value="smooth" @selected($source->setting('detail') === 'smooth')>smooth motion</option>
                            </select></label>
                    @endif
                    @if ($kind->value === 'colour')
                        <label class="label">Colour <input type="color" class="field" value="{{ $source->setting('colour') }}" @change="edit('source.set', { source: '{{ $source->id }}', settings: { colour: $event.target.value } })"></label>
                    @endif
                    @if ($kind->value === 'test-picture')
                        <label class="label">Test picture
                            <select class="field min-h-9" @change="edit('source.set', { source: '{{ $source->id }}', settings: { pattern: $event.target.value } })">
                                @foreach (\Rhetorix\Core\Picture\TestPicture::cases() as $test)<option value="{{ $test->value }}" @selected($source->setting('pattern') === $test->value)>{{ $test->label() }}</option>@endforeach
                            </select></label>
                    @endif
                    @if ($kind->value === 'deck')
                        <label class="label">Turned together with
                            <select class="field min-h-9" data-testid="deck-link" @change="edit('source.link', { source: '{{ $source->id }}', to: $event.target.value })">
                                <option value="none">nothing: by itself</option>
                                @foreach ($decks->where('id', '!=', $source->id) as $deck)<option value="{{ $deck->id }}" @selected(($deck->setting('group') ?? $deck->id) === ($source->setting('group') ?? $source->id))>{{ $deck->name }}</option>@endforeach
                            </select></label>
                    @endif
                </div>
                @if ($kind->value === 'phone')
                    <div class="w-full" x-cloak x-show="part === 'link'" id="link-{{ $source->id }}" hx-get="/shows/{{ $show->id }}/sources/{{ $source->id }}/link" hx-trigger="load" data-testid="join-link"></div>
                @endif
                @if ($kind->value === 'deck')
                    <div class="w-full" x-data="deckPages('{{ $source->id }}')">
                        <button type="button" class="button-quiet" :aria-expanded="open" @click="toggle()" data-testid="page-list">All pages</button>
                        <a class="button-quiet" href="/shows/{{ $show->id }}/decks/{{ $source->id }}" target="deck-{{ $source->id }}" data-testid="deck-window">In a window of its own</a>
                        <div x-cloak x-show="open">
                            <p class="text-sm text-soft" x-show="done < count">Painting the pages: <span x-text="done"></span> of <span x-text="count"></span></p>
                            <div class="grid max-h-72 grid-cols-3 gap-1.5 overflow-y-auto" x-ref="list">
                                @for ($page = 1; $page <= ($core->deck?->pages ?? 0); $page++)
                                    <button type="button" class="rounded border-2 border-line p-0.5 text-xs" data-page="{{ $page }}" :class="current === {{ $page }} && 'border-accent! font-bold'" :aria-current="current === {{ $page }} ? 'page' : false" @click="goTo({{ $page }})" aria-label="Page {{ $page }}">{{ $page }}</button>
                                @endfor
                            </div>
                        </div>
                    </div>
                @endif
            </div>
        @endif
    </div>
</li>
