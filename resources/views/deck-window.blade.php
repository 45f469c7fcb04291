<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <title>{{ $deck->name }} · {{ $show->name }}</title>
    <link rel="icon" href="data:,">
    @vite(['resources/css/app.css', 'resources/js/deck-window.ts'])
</head>
<body class="m-0 h-screen overflow-hidden bg-black" data-show="{{ $show->id }}" data-deck="{{ $deck->id }}">
    <script type="application/json" id="show-state">@json($state, JSON_HEX_TAG | JSON_HEX_AMP)</script>
    <canvas class="h-full w-full object-contain" width="1280" height="720" role="img" aria-label="{{ $deck->name }}" data-testid="deck-canvas"></canvas>
</body>
</html>
