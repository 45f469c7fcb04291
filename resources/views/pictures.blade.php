@extends('show')
@section('title', 'Pictures')

@section('content')
<main class="mx-auto max-w-6xl p-6">
    <h1 class="mb-1 text-3xl font-bold">Pictures</h1>
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
                            <label class="label">Place: <span x-text="slot"></span><select class="field" @change="fills[slot] = $event.target.value; look()" :data-testid="`slot-${slot}`">@foreach ($sources as $source)<option value="{{ $source->id }}" :selected="fills[slot] === '{{ $source->id }}'">{{ $source->name }}</option>@endforeach</select></label>
                        </template>
                        <template x-for="[name, parameter] in Object.entries(offer.parameters)" :key="layout + name">
                            <label class="label"><span x-text="parameter.label"></span> <span x-show="!parameter.words.length" x-text="parameter.whole ? values[name] : `${Math.round(values[name] * 100)} %`"></span>
                                <template x-if="parameter.words.length"><select class="field" @change="setValue(name, $event.target.value)" :data-testid="`parameter-${name}`"><template x-for="word in parameter.words" :key="word"><option :value="word" x-text="word" :selected="values[name] === word"></option></template></select></template>
                                <template x-if="!parameter.words.length"><input type="range" class="mt-3 w-full accent-(--accent)" :min="parameter.least" :max="parameter.most" :step="parameter.whole ? 1 : 0.01" :value="values[name]" @input="setValue(name, $event.target.value)" :data-testid="`parameter-${name}`"></template>
                            </label>
                        </template>
                    </div>
                </template>
                <div x-show="layout === 'inset'"><label class="label" for="large">Large</label><select id="large" class="field" x-model="large">@foreach ($sources as $source)<option value="{{ $source->id }}">{{ $source->name }}</option>@endforeach</select></div>
                <div x-show="layout === 'inset'"><label class="label" for="inset">Inset</label><select id="inset" class="field" x-model="inset">@foreach ($sources as $source)<option value="{{ $source->id }}">{{ $source->name }}</option>@endforeach</select></div>
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
                    <input id="size" type="range" min="10" max="60" step="1" class="mt-3 w-full accent-(--accent)" x-model="size" @input="look()"></div>
                    <label class="label" for="picture-name">Name (or leave it to us)</label>
                    <input id="picture-name" class="field" maxlength="80" x-model="name">
                </div>
                <p class="wrong sm:col-span-2" x-cloak x-show="wrong" x-text="wrong" role="alert"></p>
                <p class="wrong sm:col-span-2" x-cloak x-show="isOnAir">This picture is on program: the audience sees the change at once.</p>
                <div class="flex gap-3 sm:col-span-2"><button class="button-main grow" data-testid="make-picture" x-text="changing ? 'Change the picture' : 'Make the picture'">Make the picture</button>
                    <button type="button" class="button-quiet" x-cloak x-show="changing" @click="forget()">Leave it as it is</button></div>
            </form>
            <figure>
                <canvas x-ref="draft" width="640" height="360" class="block aspect-video w-full rounded-lg bg-line" role="img" aria-label="How the picture will look" data-testid="draft"></canvas>
                <figcaption class="mt-1 text-sm text-soft">So it will look, with the sources as they are now.</figcaption>
            </figure>
        </section>
    @endif

    <section id="library" hx-get="/shows/{{ $show->id }}/pictures" hx-trigger="show-changed from:body" hx-select="#library" hx-ext="grow" hx-swap="grow" hx-disinherit="*" aria-label="All pictures">
        @foreach (['people' => 'People', 'material' => 'Material', 'together' => 'Together', 'waiting' => 'Waiting'] as $group => $label)
            @php($here = $pictures->get($group, collect()))
            @continue($here->isEmpty() && $group !== 'together')
            <h2 class="mt-4 mb-2 text-xl font-bold">{{ $label }}</h2>
            @if ($here->isEmpty())
                <p class="text-soft">No picture with several sources yet. Make one above.</p>
            @endif
            <ul class="grid gap-4 sm:grid-cols-3 lg:grid-cols-4">
                @foreach ($here as $picture)
                    <li class="sheet overflow-hidden" data-testid="picture" data-grow="{{ $picture->id }}" x-data="pictureCard('{{ $picture->id }}')">
                        <canvas data-view="picture" data-id="{{ $picture->id }}" width="320" height="180" class="block aspect-video w-full bg-line" role="img" aria-label="{{ $picture->name }}"></canvas>
                        <div class="flex min-h-12 items-center gap-2 px-3">
                            @if ($picture->key)<span class="keycap">{{ $picture->key }}</span>@endif
                            <h3 class="truncate font-semibold" title="{{ $picture->name }}">{{ $picture->name }}</h3>
                            @if ($mayOperate && ! $picture->own_source_id)
                                <button type="button" class="button-quiet ml-auto px-2" @click="$dispatch('change-picture', {{ Js::from(['picture' => $picture->id, 'name' => $picture->name, 'layout' => $picture->layout, 'fills' => $picture->fills->pluck('source_id', 'slot')]) }})" aria-label="Change {{ $picture->name }}" data-testid="change">Change</button>
                                <button type="button" class="button-quiet px-2" @click="remove()" aria-label="Delete {{ $picture->name }}">Delete</button>
                            @endif
                        </div>
                        <div class="px-3 pb-2 text-sm">
                            <button type="button" class="button-quiet -ml-3" :disabled="busy" @click="read('window')" x-text="busy ? 'Measuring…' : 'Can it be read?'" data-testid="picture-reading">Can it be read?</button>
                            <p x-cloak x-show="found" :class="found?.easy || 'wrong'" x-text="found?.sentence" data-testid="picture-reading-said"></p>
                        </div>
                    </li>
                @endforeach
            </ul>
        @endforeach
    </section>
</main>
@endsection
