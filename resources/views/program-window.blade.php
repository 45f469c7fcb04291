<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>Program · {{ $show->name }}</title>
    <link rel="icon" href="data:,">
    @vite(['resources/css/app.css', 'resources/js/program-window.ts'])
</head>
<body class="m-0 h-screen overflow-hidden bg-black" data-show="{{ $show->id }}" data-started="no">
    <script type="application/json" id="holding">@json($holding, JSON_HEX_TAG | JSON_HEX_AMP)</script>
    <canvas class="absolute inset-0 h-full w-full object-contain" aria-label="Holding card" role="img"></canvas>
    <video class="absolute inset-0 h-full w-full bg-transparent object-contain" autoplay playsinline data-testid="program-window"></video>
    <p id="notice" class="absolute inset-x-0 bottom-[12%] text-center text-[2.6vw] text-[#1f3350]">
        Program is not started. Open the desk of “{{ $show->name }}” and press <strong>Program window</strong> there.
    </p>
</body>
</html>
