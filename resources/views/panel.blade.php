@extends('layout')
@section('title', 'Panel of '.$show->name)

@section('body')
    <script type="application/json" id="show-state" data-show="{{ $show->id }}" data-may-operate="{{ $mayOperate ? 'yes' : 'no' }}" data-user="{{ auth()->id() }}">@json($state, JSON_HEX_TAG | JSON_HEX_AMP)</script>
    <script type="application/json" id="controls">@json(auth()->user()->controls()->page(), JSON_HEX_TAG | JSON_HEX_AMP)</script>
    <main class="flex h-dvh flex-col gap-2 p-2" x-data="touchPanel" data-panel>
        <h1 class="sr-only">Panel of {{ $show->name }}</h1>
        <div class="flex flex-wrap items-center gap-2">
            <p class="min-w-0 truncate"><span class="tab-on-air rounded-b-md">On air</span> <strong x-text="words.program" data-testid="panel-program"></strong></p>
            <p class="min-w-0 truncate"><span class="tab-next rounded-b-md border-b-2">Next</span> <strong x-text="words.next" data-testid="panel-next"></strong></p>
            <p id="away" hidden class="chip border-sun text-ink">On its own: presses are kept: <span data-unsent>0</span></p>
            <p class="chip border-sun text-ink" x-show="alone !== ''" x-text="alone" data-testid="panel-alone"></p>
        </div>
        <nav class="flex gap-2 overflow-x-auto" aria-label="Pages of the panel">
            <template x-for="(word, name) in pages" :key="name">
                <button type="button" class="button min-h-12 shrink-0 px-5" @click="open(name)" :aria-pressed="page === name" x-text="word" data-testid="panel-page"></button>
            </template>
        </nav>
        <div class="grid min-h-0 flex-1 auto-rows-fr grid-cols-2 gap-2 overflow-y-auto sm:grid-cols-3 lg:grid-cols-4" x-show="page !== 'more'">
            <template x-for="each in pictures" :key="each.id">
                <button type="button" class="panel-button" :data-tally="each.tally" :data-picture-id="each.id" @click="press(each)" :disabled="!may" data-testid="panel-picture">
                    <canvas width="240" height="135" class="block min-h-0 w-full flex-1 object-contain" x-init="attach($el, each.id)" aria-hidden="true"></canvas>
                    <span class="text-xl font-bold" x-text="each.name"></span>
                    <span class="text-base" x-text="each.does" data-does></span>
                </button>
            </template>
        </div>
        <div class="grid min-h-0 flex-1 auto-rows-fr grid-cols-2 gap-2 overflow-y-auto sm:grid-cols-3 lg:grid-cols-4" x-show="page === 'more'">
            <template x-for="each in others" :key="each.name">
                <button type="button" class="panel-button" :aria-pressed="each.on" @click="run(each.name)" :disabled="!may" :data-action="each.name" data-testid="panel-action"><span class="text-lg font-bold" x-text="each.label"></span></button>
            </template>
        </div>
        <div class="grid grid-cols-4 gap-2">
            <button type="button" class="button-main min-h-20 flex-col px-1 text-xl" @click="run('take')" :disabled="!may" x-text="words.take" data-testid="panel-take"></button>
            <button type="button" class="button min-h-20 px-1 text-xl" @click="run('cut')" :disabled="!may" data-testid="panel-cut">Cut</button>
            <button type="button" class="button min-h-20 px-1 text-xl" @click="run('back')" :disabled="!may" data-testid="panel-back">Back</button>
            <button type="button" class="button min-h-20 border-4 border-ink px-1 text-xl" @click="run('cover')" :disabled="!may" x-text="words.cover" data-testid="panel-cover"></button>
        </div>
    </main>
    <div id="messages" class="fixed bottom-28 left-4 z-20 flex max-w-xl flex-col gap-2" role="alert"></div>
    <p id="announcements" class="sr-only" aria-live="assertive"></p>
@endsection
