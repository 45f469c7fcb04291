<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <title>Tally · {{ $show->name }}</title>
    <link rel="icon" href="data:,">
    @vite($source === null ? ['resources/css/app.css'] : ['resources/css/app.css', 'resources/js/tally.ts'])
</head>
@if ($source === null)
    <body class="min-h-screen p-6">
        <main class="mx-auto max-w-md">
            <h1 class="mb-1 text-3xl font-bold">Tally</h1>
            <p class="mb-4 text-soft">Which source does this screen stand beside? It then shows nothing but whether that source is on air.</p>
            <ul class="space-y-2">
                @foreach ($sources as $one)
                    <li><a class="choice font-semibold" href="/shows/{{ $show->id }}/tally/{{ $one->id }}">{{ $one->name }}</a></li>
                @endforeach
            </ul>
            <p class="mt-6"><a class="button-quiet -ml-3" href="/shows/{{ $show->id }}">Back to the desk</a></p>
        </main>
    </body>
@else
    <body class="tally-page" data-show="{{ $show->id }}" data-source="{{ $source->id }}" data-tally="off" data-testid="tally">
        <script type="application/json" id="show-state">@json($state, JSON_HEX_TAG | JSON_HEX_AMP)</script>
        <main class="flex h-full flex-col items-center justify-center gap-4 text-center">
            <h1 class="text-[6vmin] font-semibold">{{ $source->name }}</h1>
            <p class="text-[20vmin] leading-none font-bold uppercase" data-word role="status" aria-live="assertive">Off air</p>
        </main>
    </body>
@endif
</html>
