@extends('plain')
@section('title', 'Link ended')

@section('content')
    <h1 class="mb-2 text-3xl font-bold">This link has ended</h1>
    <p class="text-lg">It was for one show and has run out or was withdrawn. Ask whoever gave it to you for a new one.</p>
@endsection
