@extends('layout')

@section('body')
    <main class="mx-auto max-w-3xl px-6 py-10">
        <p class="mb-8 text-2xl font-bold tracking-tight text-accent">Rhetorix</p>
        @yield('content')
    </main>
@endsection
