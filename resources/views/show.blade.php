@extends('layout')

@section('body')
    <script type="application/json" id="show-state" data-show="{{ $show->id }}" data-may-operate="{{ $mayOperate ? 'yes' : 'no' }}" data-user="{{ auth()->id() }}">@json($state, JSON_HEX_TAG | JSON_HEX_AMP)</script>
    <script type="application/json" id="controls">@json(auth()->user()->controls()->page(), JSON_HEX_TAG | JSON_HEX_AMP)</script>
    <header class="flex min-h-12 flex-wrap items-center gap-x-2 lg:h-12 lg:flex-nowrap border-b border-line bg-leaf px-3">
        <a href="/shows" class="text-lg font-bold tracking-tight text-accent" title="All shows">Rhetorix</a>
        <p class="min-w-16 truncate border-l border-line pl-3 font-semibold" title="{{ $show->name }}">{{ $show->name }}</p>
        <nav class="ml-2 flex max-lg:order-last max-lg:w-full max-lg:overflow-x-auto" aria-label="Pages of the show" hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML" id="places">
            @foreach (['desk' => ['Desk', ''], 'rig' => ['Rig', '/rig'], 'line-up' => ['Line-up', '/line-up'], 'pictures' => ['Pictures', '/pictures'], 'as-run' => ['As-run list', '/as-run'], 'controls' => ['Controls', '/controls']] as $name => [$word, $path])
                <a class="place" data-place="{{ $name }}" href="/shows/{{ $show->id }}{{ $path }}" @if ($here === $name) aria-current="page" @endif>{{ $word }}</a>
            @endforeach
        </nav>
        <div class="ml-auto flex items-center gap-2 max-lg:w-full max-lg:overflow-x-auto max-lg:pb-1 *:shrink-0">
            <p id="away" hidden class="chip border-sun text-ink">On its own: the server does not answer. Presses are kept: <span data-unsent>0</span></p>
            <a id="here" class="chip no-underline" href="/shows/{{ $show->id }}/people" hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML" data-testid="here" title="Who is here">1 here</a>
            <p id="quality" hidden class="chip border-sun text-ink" data-testid="quality"><span class="max-w-44 truncate lg:max-w-20"></span></p>
            <p id="live-microphones" class="chip-microphone" data-testid="live-microphones">No open microphone</p>
            <p id="host" class="chip" data-testid="host">…</p>
            <button type="button" id="hold-devices" hidden class="button min-h-9">Hold devices here</button>
            <button type="button" id="theme" class="button min-h-9 px-3" title="Daylight or dusk">Dusk</button>
            <form method="post" action="/sign-out">@csrf<button class="button-quiet whitespace-nowrap">Sign out</button></form>
        </div>
    </header>
    <div id="page" data-here="{{ $here }}" data-title="@yield('title') · Rhetorix">
        @yield('content')
    </div>
    <div id="messages" class="fixed bottom-4 left-4 z-20 flex max-w-xl flex-col gap-2" role="alert"></div>
    <p id="announcements" class="sr-only" aria-live="assertive"></p>
@endsection
