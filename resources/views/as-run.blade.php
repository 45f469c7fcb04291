@extends('show')
@section('title', 'As-run list')

@section('content')
<main class="mx-auto max-w-4xl p-6">
    <h1 class="mb-1 text-3xl font-bold">As-run list</h1>
    <p class="mb-4 text-soft">What was on air when, newest first, and what else changed the show. What the audience saw or heard stands out.</p>
    <section id="entries" hx-get="{{ request()->fullUrl() }}" hx-trigger="show-moved from:body delay:400ms" hx-select="#entries" hx-swap="outerHTML">
        @if ($entries->isEmpty())
            <p class="sheet p-8 text-lg">Nothing has happened yet. Put a picture on air on the desk, and it is written down here.</p>
        @else
            <table class="sheet w-full border-separate border-spacing-0" data-testid="as-run">
                <thead><tr class="text-left text-sm text-soft"><th class="px-4 py-2">Time</th><th class="py-2">What</th><th class="py-2">Who</th><th class="px-4 py-2 text-right">Change</th></tr></thead>
                <tbody>
                    @foreach ($entries as $entry)
                        @foreach (array_reverse($entry->events) as $event)
                            <tr @class(['font-bold' => $sentence->isOnAir($event['what'])])>
                                <td class="w-36 border-t border-line px-4 py-1.5 tabular-nums"><time datetime="{{ \Illuminate\Support\Carbon::createFromTimestampMs($event['at'])->toIso8601ZuluString('millisecond') }}">{{ \Illuminate\Support\Carbon::createFromTimestampMs($event['at'])->format('H:i:s.v') }}</time></td>
                                <td class="border-t border-line py-1.5">{{ $sentence->of($event) }}</td>
                                <td class="border-t border-line py-1.5 font-normal text-soft">{{ $event['what'] === 'arrived' ? '' : $entry->user?->name }}</td>
                                <td class="border-t border-line px-4 py-1.5 text-right font-normal text-soft tabular-nums">{{ $entry->revision }}</td>
                            </tr>
                        @endforeach
                    @endforeach
                </tbody>
            </table>
            <div class="mt-4">{{ $entries->links('pager') }}</div>
        @endif
    </section>
</main>
@endsection
