@extends('show')
@section('title', 'Pictures')

@section('content')
<main class="mx-auto max-w-6xl p-6">
    <h1 class="mb-1 text-3xl font-bold">Pictures</h1>
    <p class="mb-4 text-soft">What can be put on air. Each source has a full-screen picture already; a picture with an inset is made here.</p>

    @if ($mayOperate && $sources->isNotEmpty())
        <section class="sheet mb-8 grid gap-6 p-5 lg:grid-cols-[1fr_26rem]" x-data="insetForm" x-init="$nextTick(() => begin('{{ $sources->skip(min(1, $sources->count() - 1))->first()->id }}', '{{ $sources->first()->id }}'))" aria-label="Make a picture with an inset">
            <form class="grid content-start gap-4 sm:grid-cols-2" @submit.prevent="make()" @change="look()">
                <h2 class="text-xl font-bold sm:col-span-2">A large source with an inset</h2>
                <div><label class="label" for="large">Large</label><select id="large" class="field" x-model="large">@foreach ($sources as $source)<option value="{{ $source->id }}">{{ $source->name }}</option>@endforeach</select></div>
                <div><label class="label" for="inset">Inset</label><select id="inset" class="field" x-model="inset">@foreach ($sources as $source)<option value="{{ $source->id }}">{{ $source->name }}</option>@endforeach</select></div>
                <fieldset>
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
                    <label class="label" for="size">Inset size: <span x-text="size"></span> % of the width</label>
                    <input id="size" type="range" min="10" max="60" step="1" class="mt-3 w-full accent-(--accent)" x-model="size" @input="look()">
                    <label class="label mt-4" for="picture-name">Name (or leave it to us)</label>
                    <input id="picture-name" class="field" maxlength="80" x-model="name">
                </div>
                <p class="wrong sm:col-span-2" x-cloak x-show="wrong" x-text="wrong" role="alert"></p>
                <button class="button-main sm:col-span-2" data-testid="make-picture">Make the picture</button>
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
                    <li class="sheet overflow-hidden" data-testid="picture" data-grow="{{ $picture->id }}" x-data="insetForm">
                        <canvas data-view="picture" data-id="{{ $picture->id }}" width="320" height="180" class="block aspect-video w-full bg-line" role="img" aria-label="{{ $picture->name }}"></canvas>
                        <div class="flex min-h-12 items-center gap-2 px-3">
                            @if ($picture->key)<span class="keycap">{{ $picture->key }}</span>@endif
                            <h3 class="truncate font-semibold" title="{{ $picture->name }}">{{ $picture->name }}</h3>
                            @if ($mayOperate && ! $picture->own_source_id)
                                <button type="button" class="button-quiet ml-auto" @click="remove('{{ $picture->id }}')" aria-label="Delete {{ $picture->name }}">Delete</button>
                            @endif
                        </div>
                        <div class="px-3 pb-2 text-sm" x-data="pictureReading('{{ $picture->id }}')">
                            <button type="button" class="button-quiet -ml-3" :disabled="busy" @click="look('window')" x-text="busy ? 'Measuring…' : 'Can it be read?'" data-testid="picture-reading">Can it be read?</button>
                            <p x-cloak x-show="found" :class="found?.easy || 'wrong'" x-text="found?.sentence" data-testid="picture-reading-said"></p>
                        </div>
                    </li>
                @endforeach
            </ul>
        @endforeach
    </section>
</main>
@endsection
