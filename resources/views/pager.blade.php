<nav class="flex justify-between" aria-label="Older and newer">
    @if ($paginator->previousPageUrl())<a class="button" href="{{ $paginator->previousPageUrl() }}">Newer</a>@else<span></span>@endif
    @if ($paginator->nextPageUrl())<a class="button" href="{{ $paginator->nextPageUrl() }}">Older</a>@endif
</nav>
