@props(['id', 'name', 'key' => null])
<button type="button" {{ $attributes->class('card') }} data-testid="picture-card" data-grow="{{ $id }}" data-press="picture" data-picture-id="{{ $id }}" data-tally="off" title="{{ $name }}: next. With Shift: straight to program">
    <span class="relative block w-full">
        <canvas data-view="picture" data-id="{{ $id }}" width="160" height="90" class="block aspect-video w-full bg-line"></canvas>
        <span class="card-left" data-left title="left of the clip"></span>
        <span class="card-note" data-signal-note></span>
    </span>
    <span class="flex min-h-10 items-start gap-1.5 px-1.5 py-0.5 text-sm leading-[1.15rem] font-semibold">
        @if ($key)<span class="keycap max-lg:hidden" aria-label="Key {{ $key }}">{{ $key }}</span>@endif
        <span class="line-clamp-2">{{ $name }}</span>
    </span>
    <span class="card-word" data-tally-word></span>
</button>
