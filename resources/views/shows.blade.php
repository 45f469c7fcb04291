@extends('plain')
@section('title', 'Shows')

@section('content')
    <h1 class="mb-4 text-3xl font-bold">Your shows</h1>
    @if ($errors->any())<p class="wrong mb-4" role="alert">{{ $errors->first() }}</p>@endif
    @forelse ($shows as $show)
        <a class="sheet mb-3 flex min-h-16 items-center justify-between px-5 text-lg font-semibold hover:border-ink" href="/shows/{{ $show->id }}">
            {{ $show->name }} <span class="text-base font-normal text-soft">{{ $show->pivot->role }}</span>
        </a>
    @empty
        <p class="mb-6 text-lg">You have no show yet. A show is one class, meeting or event: give yours a name, and its desk opens.</p>
    @endforelse
    <form method="post" action="/shows" class="mt-8 flex flex-wrap items-end gap-3">
        @csrf
        <div class="min-w-60 grow"><label class="label" for="name">Name of a new show</label><input class="field" id="name" name="name" maxlength="80" required></div>
        <div><label class="label" for="shape">Shape of program</label><select class="field" id="shape" name="shape">@foreach (\Rhetorix\Core\Picture\CanvasShape::cases() as $shape)<option value="{{ $shape->value }}">{{ $shape->label() }}</option>@endforeach</select></div>
        <button class="button-main">Make the show</button>
    </form>
    <p class="mt-10 text-soft"><a class="button-quiet" href="/tokens">Tokens for other programs</a></p>
@endsection
