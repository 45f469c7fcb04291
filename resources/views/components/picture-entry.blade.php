@props(['picture', 'show', 'mayOperate', 'keys', 'otherShows', 'hidden' => null])
@php($path = "/shows/{$show->id}/pictures/{$picture->id}")
@php($own = $picture->own_source_id !== null)
<li class="sheet overflow-hidden" data-testid="picture" data-grow="{{ $picture->id }}" x-data="pictureCard('{{ $picture->id }}')" x-show="finds({{ Js::from($picture->name) }})">
    <div class="relative">
        <canvas data-view="picture" data-id="{{ $picture->id }}" width="320" height="180" class="block aspect-video w-full bg-line" role="img" aria-label="{{ $picture->name }}"></canvas>
        @if ($hidden !== null && $hidden > 0.0005)<span class="absolute right-1 bottom-1 rounded bg-[#1b2d47cc] px-1.5 text-xs font-semibold text-[#fdfaf3] tabular-nums" title="So much of the material lies under other windows">{{ $hidden < 0.1 ? number_format(100 * $hidden, 1) : round(100 * $hidden) }} % hidden</span>@endif
    </div>
    <div class="flex min-h-12 items-center gap-2 px-2">
        @if ($mayOperate)<span class="drag-handle" title="Drag to put it elsewhere" aria-hidden="true">⠿</span>@endif
        @if ($picture->key)<span class="keycap">{{ $picture->key }}</span>@endif
        <h3 class="truncate font-semibold" title="{{ $picture->name }}">{{ $picture->name }}</h3>
    </div>
    <div class="flex flex-wrap items-center px-1 pb-1 text-sm">
        @if ($mayOperate && ! $own)
            @if (($picture->layout['layout'] ?? '') !== 'free')
                <button type="button" class="button-quiet px-2" @click="$dispatch('change-picture', {{ Js::from(['picture' => $picture->id, 'name' => $picture->name, 'layout' => $picture->layout, 'fills' => $picture->fills->pluck('source_id', 'slot')]) }})" aria-label="Change {{ $picture->name }}" data-testid="change">Change</button>
            @endif
            <a class="button-quiet px-2" href="/shows/{{ $show->id }}/compose/{{ $picture->id }}" hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML" aria-label="Compose {{ $picture->name }} by hand" data-testid="compose">By hand</a>
            <button type="button" class="button-quiet px-2" @click="remove()" aria-label="Delete {{ $picture->name }}">Delete</button>
        @endif
        <details class="ml-auto open:w-full">
            <summary class="button-quiet cursor-pointer px-2" aria-label="More about {{ $picture->name }}" data-testid="more">More</summary>
            <div class="space-y-2 p-2">
                @if ($mayOperate)
                    <label class="block text-xs font-semibold text-soft">Name<input class="field min-h-9 px-2 text-base" maxlength="80" value="{{ $picture->name }}" @change="edit('picture.place', { name: $event.target.value })" data-testid="rename"></label>
                    <label class="block text-xs font-semibold text-soft">Key on the desk<select class="field min-h-9 px-2 text-base" @change="edit('picture.place', { key: $event.target.value || null })" data-testid="key-place"><option value="">none</option>@foreach ($keys as $key)<option value="{{ $key }}" @selected($key === $picture->key)>{{ $key }}</option>@endforeach</select></label>
                    <label class="block text-xs font-semibold text-soft">Comes with<select class="field min-h-9 px-2 text-base" @change="comes($event.target.value)" data-testid="comes">
                        <option value="">what is chosen on the desk</option>
                        @if ($picture->toPicture()->comes)<option value="same" selected>{{ $picture->toPicture()->comes->label() }}</option>@endif
                        @foreach ($show->desk->toDesk()->favourites as $i => $favourite)<option value="{{ $i }}">{{ $favourite->label() }}</option>@endforeach
                    </select></label>
                    @if ($otherShows->isNotEmpty())
                        <label class="block text-xs font-semibold text-soft">Copy to another show<select class="field min-h-9 px-2 text-base" @change="copyTo($event.target.value, $event.target.selectedOptions[0].text); $event.target.value = ''" data-testid="copy-to"><option value="">choose a show</option>@foreach ($otherShows as $other)<option value="{{ $other->id }}">{{ $other->name }}</option>@endforeach</select></label>
                    @endif
                @endif
                @if (! $own)
                    <p>Guide for slides: <a class="button-quiet px-1" href="{{ $path }}/guide.svg" download>SVG</a> <a class="button-quiet px-1" href="{{ $path }}/guide.png" download data-testid="guide">PNG</a></p>
                    <p><a class="button-quiet -ml-1 px-1" href="{{ $path }}/file" download>Save as a file</a></p>
                @endif
                <button type="button" class="button-quiet -ml-3" :disabled="busy" @click="read('window')" x-text="busy ? 'Measuring…' : 'Can it be read?'" data-testid="picture-reading">Can it be read?</button>
            </div>
        </details>
        <p class="w-full" x-cloak x-show="found" :class="found?.easy || 'wrong'" x-text="found?.sentence" data-testid="picture-reading-said"></p>
    </div>
</li>
