@props(['how'])
@php($shapes = [
    'left' => 'M3 2v20 M6 5h9v5h-9z M6 14h14v5h-14z',
    'centre' => 'M12 2v20 M7 5h10v5h-10z M4 14h16v5h-16z',
    'right' => 'M21 2v20 M9 5h9v5h-9z M4 14h14v5h-14z',
    'top' => 'M2 3h20 M5 6h5v9h-5z M14 6h5v14h-5z',
    'middle' => 'M2 12h20 M5 7h5v10h-5z M14 4h5v16h-5z',
    'bottom' => 'M2 21h20 M5 9h5v9h-5z M14 4h5v14h-5z',
    'across' => 'M2 7h4v10h-4z M10 7h4v10h-4z M18 7h4v10h-4z M6.5 12h3 M14.5 12h3',
    'down' => 'M7 2h10v4h-10z M7 10h10v4h-10z M7 18h10v4h-10z M12 6.5v3 M12 14.5v3',
    'same-size' => 'M2 7h8v10h-8z M14 7h8v10h-8z',
])
<svg viewBox="0 0 24 24" class="size-5" fill="none" stroke="currentColor" stroke-width="1.7" aria-hidden="true"><path d="{{ $shapes[$how] }}" /></svg>
