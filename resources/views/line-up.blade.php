@extends('show')
@section('title', 'Line-up')

@section('content')
<main class="mx-auto max-w-5xl p-6">
    <h1 class="mb-1 text-3xl font-bold">Line-up</h1>
    <p class="mb-4 text-soft">What is well and what is not, measured now, the gravest first. It goes on measuring while this page is open.</p>
    <section id="checks" hx-get="/shows/{{ $show->id }}/line-up" hx-trigger="every 2s, show-changed from:body" hx-select="#checks" hx-ext="grow" hx-swap="grow" hx-disinherit="*" aria-label="Checks">
        @php($wrong = count(array_filter($checks, fn ($check) => $check->verdict !== \Rhetorix\Core\LineUp\Verdict::Well)))
        <p class="mb-3 text-xl font-semibold" data-testid="line-up-sum">{{ $wrong === 0 ? 'All of it is well.' : ($wrong === 1 ? 'One thing to look at.' : "{$wrong} things to look at.") }}</p>
        <ul class="sheet divide-y divide-line">
            @foreach ($checks as $check)
                <li class="grid items-baseline gap-x-4 gap-y-1 px-4 py-2.5 sm:grid-cols-[7.5rem_13rem_1fr]" data-testid="check" data-verdict="{{ $check->verdict->value }}">
                    <span class="verdict" data-verdict="{{ $check->verdict->name }}">{{ $check->verdict->value }}</span>
                    <span class="truncate font-semibold" title="{{ $check->what }}">{{ $check->what }}</span>
                    <span>{{ $check->measured }}@if ($check->todo !== '')<span class="block text-soft">{{ $check->todo }}</span>@endif</span>
                </li>
            @endforeach
        </ul>
    </section>
</main>
@endsection
