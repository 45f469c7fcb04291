<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <title>@yield('title') · Rhetorix</title>
    <link rel="icon" href="data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 32 32'%3E%3Crect width='32' height='32' rx='7' fill='%23234a7d'/%3E%3Cpath d='M8 24V8h16v9H8' fill='none' stroke='%23fdfaf3' stroke-width='3'/%3E%3Cpath d='M12 24h12' stroke='%23e6b450' stroke-width='3' stroke-dasharray='4 3'/%3E%3C/svg%3E">
    <script>if (localStorage.getItem('rhetorix.theme')) document.documentElement.dataset.theme = localStorage.getItem('rhetorix.theme');</script>
    @vite(['resources/css/app.css', 'resources/js/app.ts'])
</head>
<body class="min-h-screen">
    @yield('body')
</body>
</html>
