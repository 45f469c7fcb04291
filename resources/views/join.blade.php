<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <title>{{ $place }} · {{ $show }}</title>
    <link rel="icon" href="data:,">
    @vite(['resources/css/app.css', 'resources/js/join.ts'])
</head>
<body class="join flex min-h-screen flex-col" data-running="no" data-tally="off" data-link="waiting">
    <header class="flex items-center justify-between gap-3 px-4 py-2">
        <p class="min-w-0"><span class="block truncate text-lg font-bold">{{ $place }}</span><span class="block truncate text-sm text-soft">{{ $show }}</span></p>
        <p id="tally" class="join-tally" role="status">not on air</p>
    </header>
    <main class="flex grow flex-col">
        <video id="look" class="max-h-[62vh] w-full grow bg-line object-contain" muted playsinline aria-label="What you send"></video>
        <p id="wrong" class="wrong m-4" role="alert" hidden></p>
        <div class="join-before space-y-4 p-4">
            <p>Your camera or screen becomes a picture of this show. It is never on air by itself: the desk decides.</p>
            <fieldset class="grid gap-2">
                <legend class="label">What to send</legend>
                <label class="choice"><input type="radio" name="from" value="environment" checked> the camera at the back</label>
                <label class="choice"><input type="radio" name="from" value="user"> the camera at the front</label>
                <label class="choice" id="from-screen"><input type="radio" name="from" value="screen"> the screen of this device</label>
            </fieldset>
            <fieldset class="grid grid-cols-2 gap-2">
                <legend class="label">How you hold it</legend>
                <label class="choice"><input type="radio" name="held" value="lying" checked> lying</label>
                <label class="choice"><input type="radio" name="held" value="upright"> upright</label>
            </fieldset>
            <label class="choice"><input type="checkbox" id="with-sound"> with its sound</label>
            <div><label class="label" for="device-name">Your name, for the desk (if you like)</label><input id="device-name" class="field" maxlength="40" autocomplete="name"></div>
            <button type="button" id="start" class="button-main min-h-14 w-full text-lg" data-testid="join-start">Start</button>
        </div>
        <div class="join-during flex flex-wrap items-center gap-3 p-4">
            <p id="link-state" class="grow basis-full font-semibold" role="status" data-testid="link-state">Waiting for the desk…</p>
            <button type="button" id="turn-round" class="button min-h-14 grow">Other camera</button>
            <button type="button" id="stop" class="button min-h-14 grow">Stop</button>
        </div>
    </main>
</body>
</html>
