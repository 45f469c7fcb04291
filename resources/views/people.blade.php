@extends('show')
@section('title', 'People')

@section('content')
<main class="mx-auto max-w-4xl space-y-6 p-4" x-data="peoplePage">
    <h1 class="text-2xl font-bold">People</h1>
    <section aria-label="Here now">
        <h2 class="mb-1 text-lg font-bold text-soft">Here now</h2>
        <ul class="sheet px-4 py-1">
            <template x-for="person in here" :key="person.tab"><li class="flex min-h-11 items-center justify-between border-b border-line last:border-0" data-testid="person-here"><strong x-text="person.name"></strong><span class="text-soft" x-text="`${person.role}, ${person.device}`"></span></li></template>
        </ul>
    </section>
    @if ($isLead)
        <section aria-label="The desk alone">
            <h2 class="mb-1 text-lg font-bold text-soft">The desk alone</h2>
            <div class="sheet flex flex-wrap items-center gap-3 px-4 py-3">
                <p class="min-w-60 flex-1" x-text="alone || 'Everybody who may operate the desk can press. For a while only you can:'"></p>
                @foreach ($alone as $minutes)<button type="button" class="button" x-show="alone === ''" @click="take({{ $minutes }})" data-testid="alone-{{ $minutes }}">{{ $minutes }} minutes</button>@endforeach
                <button type="button" class="button-main" x-show="alone !== ''" @click="take(0)" data-testid="alone-0">Give it back</button>
            </div>
        </section>
    @endif
    <section aria-label="Who belongs to the show">
        <h2 class="mb-1 text-lg font-bold text-soft">Who belongs to the show</h2>
        @if (session('added'))
            <div class="wrong mb-3" role="status">
                <p>{{ session('added') }} belongs to the show now.</p>
                @if (session('password'))<p>Their first password, shown only now: <code class="font-semibold" data-testid="first-password">{{ session('password') }}</code></p>@endif
            </div>
        @endif
        @if ($errors->any())<p class="wrong mb-3" role="alert">{{ $errors->first() }}</p>@endif
        <ul class="sheet px-4 py-1">
            @foreach ($people as $person)
                <li class="flex min-h-14 flex-wrap items-center gap-3 border-b border-line py-1 last:border-0" data-testid="member">
                    <span class="min-w-40 flex-1"><strong>{{ $person->name }}</strong> <span class="text-soft">{{ $person->email }}</span></span>
                    @if ($isLead)
                        <form method="post" action="/shows/{{ $show->id }}/people/{{ $person->id }}" class="flex items-center gap-2">
                            @csrf @method('patch')
                            <select class="field min-h-10 w-96 px-2" name="role" aria-label="What {{ $person->name }} may do" onchange="this.form.submit()">@foreach ($roles as $role)<option value="{{ $role->value }}" @selected($person->pivot->role === $role->value)>{{ $role->label() }}</option>@endforeach</select>
                            <noscript><button class="button">Keep</button></noscript>
                        </form>
                        <form method="post" action="/shows/{{ $show->id }}/people/{{ $person->id }}">@csrf @method('delete')<button class="button-quiet" aria-label="Take {{ $person->name }} out of the show">Take out</button></form>
                    @else
                        <span class="text-soft">{{ \App\Shows\Role::from($person->pivot->role)->label() }}</span>
                    @endif
                </li>
            @endforeach
        </ul>
        @if ($isLead)
            <form method="post" action="/shows/{{ $show->id }}/people" class="mt-3 flex flex-wrap items-end gap-3">
                @csrf
                <div class="min-w-52 flex-1"><label class="label" for="email">Address</label><input class="field" id="email" name="email" type="email" required></div>
                <div class="min-w-40 flex-1"><label class="label" for="name">Name, if they are new</label><input class="field" id="name" name="name" maxlength="80"></div>
                <div><label class="label" for="role">May do</label><select class="field" id="role" name="role">@foreach ($roles as $role)<option value="{{ $role->value }}" @selected($role->value === 'operator')>{{ $role->label() }}</option>@endforeach</select></div>
                <button class="button-main">Add</button>
            </form>
        @endif
    </section>
</main>
@endsection
