<div class="mt-2 flex flex-wrap gap-3">
    <canvas data-code="{{ $url }}" width="220" height="220" class="h-36 w-36 rounded-lg border border-line" role="img" aria-label="Code with the link"></canvas>
    <div class="min-w-0 grow basis-40 space-y-1 text-sm">
        <p><a class="font-semibold break-all underline" href="{{ $url }}" target="_blank" data-testid="join-url">{{ $url }}</a></p>
        <p class="text-soft">For this show only, until {{ $link->expires_at->format('H:i') }}.</p>
        @unless ($lan)<p class="wrong">Phones reach this computer only when it was started with <code>bin/start --lan</code>.</p>@endunless
        <button type="button" class="button-quiet" hx-post="/shows/{{ $show->id }}/sources/{{ $source }}/link" hx-target="#link-{{ $source }}" hx-headers='{"X-CSRF-TOKEN": "{{ csrf_token() }}"}' data-testid="withdraw-link">Withdraw it and make a new one</button>
    </div>
</div>
