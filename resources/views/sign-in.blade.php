@extends('layout')
@section('title', 'Sign in')

@section('body')
    <main class="grid min-h-screen grid-cols-1 lg:grid-cols-[1fr_1.1fr]">
        <section class="flex flex-col justify-center px-8 py-12 sm:px-16">
            <h1 class="text-5xl font-bold tracking-tight text-accent">Rhetorix</h1>
            <p class="mt-3 max-w-md text-xl text-soft">The picture desk for people who teach and host live.</p>
            <form method="post" action="/sign-in" class="mt-8 max-w-sm space-y-4">
                @csrf
                @if ($errors->any())
                    <p class="wrong" role="alert">{{ $errors->first() }}</p>
                @endif
                <div>
                    <label class="label" for="email">E-mail address</label>
                    <input class="field" id="email" name="email" type="email" autocomplete="username" required value="{{ old('email') }}" autofocus>
                </div>
                <div>
                    <label class="label" for="password">Password</label>
                    <input class="field" id="password" name="password" type="password" autocomplete="current-password" required>
                </div>
                <button class="button-main w-full">Sign in</button>
            </form>
            @if ($demo)
                <p class="mt-6 max-w-sm text-soft">To look around in the demo show, sign in with <strong class="text-ink">{{ $demo['email'] }}</strong> and the password <strong class="text-ink">{{ $demo['password'] }}</strong>.</p>
            @endif
        </section>
        <section class="hidden flex-col justify-center gap-3 border-l border-line bg-leaf px-16 lg:flex" aria-hidden="true">
            <div class="w-[32rem] max-w-full">
                <span class="tab-on-air">On air</span>
                <div class="on-air -mt-px aspect-video">
                    <svg viewBox="0 0 320 180" preserveAspectRatio="xMidYMid slice" class="h-full w-full"><rect width="320" height="180" fill="#d9c19a"/><g fill="#8b6f92"><path d="M60 60l36-18 30 20-6 34-38 8z"/></g><path fill="#c98f5a" d="M150 108l30-26 34 12 4 30-40 14z"/><path fill="#8fb7c0" d="M98 130l22-12 26 10-4 24-30 4z"/><rect x="226" y="100" width="80" height="66" rx="4" fill="#4f8f84"/><circle cx="266" cy="124" r="12" fill="#b98563"/><path d="M244 166c0-20 10-28 22-28s22 8 22 28z" fill="#5b4a7d"/></svg>
                </div>
            </div>
            <div class="ml-24 flex items-end gap-4">
                <div class="rail h-36" style="--progress:.45"></div>
                <div class="w-72">
                    <span class="tab-next">Next</span>
                    <div class="next-up -mt-px aspect-video"><svg viewBox="0 0 320 180" preserveAspectRatio="xMidYMid slice" class="h-full w-full"><rect width="320" height="180" fill="#fbf8f1"/><rect x="24" y="40" width="60" height="4" fill="#d8a657"/><rect x="24" y="20" width="150" height="12" fill="#26364d"/><g fill="#9fb0c6"><rect x="40" y="120" width="22" height="30"/><rect x="80" y="100" width="22" height="50"/><rect x="120" y="84" width="22" height="66"/><rect x="160" y="66" width="22" height="84"/></g><rect x="200" y="50" width="22" height="100" fill="#d8a657"/></svg></div>
                </div>
            </div>
        </section>
    </main>
@endsection
