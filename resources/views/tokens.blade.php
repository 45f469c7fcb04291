@extends('plain')
@section('title', 'Tokens')

@section('content')
    <h1 class="mb-2 text-3xl font-bold">Tokens for other programs</h1>
    <p class="mb-6 text-soft">A program that sends a token acts for you in your shows. What it can ask is described at <a class="underline" href="/api/v1/openapi.json">/api/v1/openapi.json</a>.</p>
    @if (session('token'))
        <div class="wrong mb-6" role="status">
            <p>This is the new token. It is shown only now; copy it to where it is needed.</p>
            <code class="mt-2 block break-all font-semibold">{{ session('token') }}</code>
        </div>
    @endif
    @foreach ($tokens as $token)
        <form method="post" action="/tokens/{{ $token->id }}" class="sheet mb-3 flex min-h-14 items-center justify-between px-5">
            @csrf @method('delete')
            <span><strong>{{ $token->name }}</strong> <span class="text-soft">made {{ $token->created_at->format('j M Y, H:i') }}</span></span>
            <button class="button-quiet">Withdraw</button>
        </form>
    @endforeach
    @if ($errors->any())<p class="wrong mb-4" role="alert">{{ $errors->first() }}</p>@endif
    <form method="post" action="/tokens" class="mt-6 flex items-end gap-3">
        @csrf
        <div class="grow"><label class="label" for="name">What it is for</label><input class="field" id="name" name="name" maxlength="80" required></div>
        <button class="button-main">Make a token</button>
    </form>
    <p class="mt-10"><a class="button-quiet" href="/shows">Back to the shows</a></p>
@endsection
