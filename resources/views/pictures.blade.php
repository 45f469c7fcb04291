@extends('show')
@section('title', 'Pictures')

@section('content')
<main class="mx-auto max-w-6xl p-6">
    <div class="flex flex-wrap items-center gap-3">
        <h1 class="mb-1 text-3xl font-bold">Pictures</h1>
        @if ($mayOperate)<a class="button ml-auto" href="/shows/{{ $show->id }}/compose" hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML" data-part="compose" data-testid="compose-link">Compose by hand</a>@endif
    </div>
    <p class="mb-4 text-soft">What can be put on air. Each source has a full-screen picture already; pictures with several sources are made here.</p>

    @if ($mayOperate && $sources->isNotEmpty())
        <section class="sheet mb-8 grid gap-6 p-5 lg:grid-cols-[1fr_26rem]" x-data="pictureForm({{ Js::from($layouts) }})" @change-picture.window="change($event.detail)" x-init="$nextTick(() => begin('{{ $sources->skip(min(1, $sources->count() - 1))->first()->id }}', '{{ $sources->first()->id }}'))" aria-label="Make a picture">
            <div class="lg:col-span-2" role="radiogroup" aria-label="Layout">
                <h2 class="mb-2 text-xl font-bold" x-text="changing ? 'Change a picture' : 'Make a picture'">Make a picture</h2>
                <div class="flex flex-wrap gap-2">
                    <button type="button" role="radio" class="layout-choice" :aria-checked="layout === 'inset'" @click="choose('inset')" data-testid="layout-inset"><svg viewBox="0 0 {{ $show->canvas_width }} {{ $show->canvas_height }}" aria-hidden="true"><rect width="{{ $show->canvas_width }}" height="{{ $show->canvas_height }}" /><rect x="{{ 0.68 * $show->canvas_width }}" y="{{ 0.68 * $show->canvas_height }}" width="{{ 0.28 * $show->canvas_width }}" height="{{ 0.28 * $show->canvas_height }}" /></svg>Large with an inset</button>
                    @foreach ($layouts as $name => $layout)
                        <button type="button" role="radio" class="layout-choice" :aria-checked="layout === '{{ $name }}'" @click="choose('{{ $name }}')" data-testid="layout-{{ $name }}"><svg viewBox="0 0 {{ $show->canvas_width }} {{ $show->canvas_height }}" aria-hidden="true">@foreach ($layout['windows'] as $box)<rect x="{{ $box->x }}" y="{{ $box->y }}" width="{{ $box->width }}" height="{{ $box->height }}" />@endforeach</svg>{{ $layout['label'] }}</button>
                    @endforeach
                </div>
            </div>
            <form class="grid content-start gap-4 sm:grid-cols-2" @submit.prevent="make()" @change="look()">
                <template x-if="offer">
                    <div class="grid content-start gap-4 sm:col-span-2 sm:grid-cols-2">
                        <template x-for="slot in slots" :key="slot">
                            <label class="label">Place: <span x-text="slot"></span><select class="field" @change="fills[slot] = $event.target.value; look()" :data-testid="`slot-${slot}`"><option value="">Nobody yet</option>@foreach ($sources as $source)<option value="{{ $source->id }}" :selected="fills[slot] === '{{ $source->id }}'">{{ $source->name }}</option>@endforeach</select></label>
                        </template>
                        <template x-for="[name, parameter] in Object.entries(offer.parameters)" :key="layout + name">
                            <label class="label"><span x-text="parameter.label"></span> <span x-show="!parameter.words.length" x-text="parameter.whole ? values[name] : `${Math.round(values[name] * 100)} %`"></span>
                                <template x-if="parameter.words.length"><select class="field" @change="setValue(name, $event.target.value)" :data-testid="`parameter-${name}`"><template x-for="word in parameter.words" :key="word"><option :value="word" x-text="word" :selected="values[name] === word"></option></template></select></template>
                                <template x-if="!parameter.words.length"><input type="range" class="mt-3 w-full accent-(--accent)" :min="parameter.least" :max="parameter.most" :step="parameter.whole ? 1 : 0.01" :value="values[name]" @input="setValue(name, $event.target.value)" :data-testid="`parameter-${name}`"></template>
                            </label>
                        </template>
                    </div>
                </template>
                <div x-show="layout === 'inset'"><label class="label" for="large">Large</label><select id="large" class="field" x-model="large"><option value="">Nobody yet</option>@foreach ($sources as $source)<option value="{{ $source->id }}">{{ $source->name }}</option>@endforeach</select></div>
                <div x-show="layout === 'inset'"><label class="label" for="inset">Inset</label><select id="inset" class="field" x-model="inset"><option value="">Nobody yet</option>@foreach ($sources as $source)<option value="{{ $source->id }}">{{ $source->name }}</option>@endforeach</select></div>
                <fieldset x-show="layout === 'inset'">
                    <legend class="label">Corner</legend>
                    <div class="grid w-60 grid-cols-2 gap-1.5 rounded-lg border border-soft p-1.5">
                        @foreach (['top-left', 'top-right', 'bottom-left', 'bottom-right'] as $corner)
                            <label class="flex min-h-11 cursor-pointer items-center justify-center rounded border border-line text-sm has-checked:border-transparent has-checked:bg-accent has-checked:font-semibold has-checked:text-on-accent has-focus-visible:outline-3">
                                <input type="radio" class="sr-only" name="corner" value="{{ $corner }}" x-model="corner">{{ str_replace('-', ' ', $corner) }}
                            </label>
                        @endforeach
                    </div>
                </fieldset>
                <div>
                    <div x-show="layout === 'inset'" class="mb-4"><label class="label" for="size">Inset size: <span x-text="size"></span> % of the width</label>
                    <input id="size" type="range" min="10" max="60" step="1" class="mt-3 w-full accent-(--accent)" x-model="size" @input="look()">
                    <label class="label mt-2" for="margin">Margin: <span x-text="margin"></span> % of the shorter side</label>
                    <input id="margin" type="range" min="0" max="20" step="1" class="mt-1 w-full accent-(--accent)" x-model="margin" @input="look()" data-testid="inset-margin">
                    <label class="label mt-2" for="inset-shape">Shape</label><select id="inset-shape" class="field" x-model="shape" data-testid="inset-shape">@foreach (\Rhetorix\Core\Layout\Shape::cases() as $shape)<option value="{{ $shape->value }}">{{ $shape->label() }}</option>@endforeach</select></div>
                    <label class="label" for="picture-name">Name (or leave it to us)</label>
                    <input id="picture-name" class="field" maxlength="80" x-model="name">
                </div>
                <p class="wrong sm:col-span-2" x-cloak x-show="wrong" x-text="wrong" role="alert"></p>
                <p class="wrong sm:col-span-2" x-cloak x-show="isOnAir">This picture is on program: the audience sees the change at once.</p>
                <div class="flex gap-3 sm:col-span-2"><button class="button-main grow" data-testid="make-picture" x-text="changing ? 'Change the picture' : 'Make the picture'">Make the picture</button>
                    <button type="button" class="button" x-show="!changing" @click="byHand()" data-testid="by-hand">Go on by hand</button>
                    <button type="button" class="button-quiet" x-cloak x-show="changing" @click="forget()">Leave it as it is</button></div>
            </form>
            <figure>
                <canvas x-ref="draft" width="640" height="360" class="block aspect-video w-full rounded-lg bg-line" role="img" aria-label="How the picture will look" data-testid="draft"></canvas>
                <figcaption class="mt-1 text-sm text-soft">So it will look, with the sources as they are now.</figcaption>
            </figure>
        </section>
    @endif

    <div x-data="pictureLibrary">
    <div class="flex flex-wrap items-center gap-3">
        <label class="sr-only" for="search">Find a picture</label>
        <input id="search" type="search" class="field max-w-64" placeholder="Find a picture" x-model="search" data-testid="picture-search">
        <a class="button-quiet ml-auto" href="/shows/{{ $show->id }}/pictures/file" download data-testid="save-pictures">Save all as a file</a>
        @if ($mayOperate)
            <label class="button-quiet cursor-pointer has-focus-visible:outline-3">Bring pictures from a file<input type="file" accept=".json,application/json" class="sr-only" @change="bring($event.target)" data-testid="bring-pictures"></label>
        @endif
    </div>
    <section id="library" hx-get="/shows/{{ $show->id }}/pictures" hx-trigger="show-changed from:body" hx-select="#library" hx-ext="grow" hx-swap="grow" hx-disinherit="*" aria-label="All pictures">
        @foreach (\Rhetorix\Core\Picture\Group::cases() as $group)
            @php($here = $pictures->get($group->value, collect()))
            <div data-grow="shelf-{{ $group->value }}">
            <h2 class="mt-4 mb-2 text-xl font-bold">{{ $group->label() }}</h2>
            <ul class="grid min-h-10 items-start gap-4 sm:grid-cols-3 lg:grid-cols-4" x-data="pictureShelf" data-group="{{ $group->value }}" data-testid="shelf-{{ $group->value }}">
                @if ($here->isEmpty())
                    <li class="text-soft" data-grow="none-{{ $group->value }}">{{ $group->value === 'together' ? 'No picture with several sources yet. Make one above.' : 'No picture here. Drag one here by its handle.' }}</li>
                @endif
                @foreach ($here as $picture)
                    <x-picture-entry :picture="$picture" :show="$show" :mayOperate="$mayOperate" :keys="$keys" :otherShows="$otherShows" :hidden="$hidden[$picture->id] ?? null" />
                @endforeach
            </ul>
            </div>
        @endforeach
    </section>
    </div>
</main>
@endsection
