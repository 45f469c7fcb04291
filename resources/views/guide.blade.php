@php
    $slide = $guide->slide;
    $unit = $slide->height / 36;
    $box = fn ($shape) => sprintf('x="%.2f" y="%.2f" width="%.2f" height="%.2f"', $shape->x, $shape->y, $shape->width, $shape->height);
@endphp
<svg xmlns="http://www.w3.org/2000/svg" width="{{ $slide->width }}" height="{{ $slide->height }}" viewBox="0 0 {{ $slide->width }} {{ $slide->height }}">
  <title>{{ $name }}: what the audience does not see of a slide</title>
  <rect width="100%" height="100%" fill="#fdfaf3"/>
  <path fill="#d8cdb8" fill-rule="evenodd" d="M0 0H{{ $slide->width }}V{{ $slide->height }}H0Z M{{ $guide->seen->x }} {{ $guide->seen->y }}h{{ $guide->seen->width }}v{{ $guide->seen->height }}h{{ -$guide->seen->width }}Z"/>
  <rect {!! $box($guide->safe) !!} fill="none" stroke="#55627a" stroke-width="{{ $unit / 9 }}" stroke-dasharray="{{ $unit / 2 }} {{ $unit / 3 }}"/>
  <text x="{{ $guide->safe->x + $unit / 2 }}" y="{{ $guide->safe->y + 1.2 * $unit }}" font-family="sans-serif" font-size="{{ 0.8 * $unit }}" fill="#55627a">Words inside this line are on every screen</text>
@foreach ($guide->words as $shape)
  <rect {!! $box($shape->rect) !!} rx="{{ $shape->radius }}" fill="#e6b450" fill-opacity="0.35" stroke="#1b2d47" stroke-width="{{ $unit / 9 }}" stroke-dasharray="{{ $unit / 4 }}"/>
  <text x="{{ $shape->rect->x + $shape->rect->width / 2 }}" y="{{ $shape->rect->y + $shape->rect->height / 2 + $unit / 3 }}" text-anchor="middle" font-family="sans-serif" font-size="{{ $unit }}" fill="#1b2d47">Words at times</text>
@endforeach
@foreach ($guide->hidden as $shape)
  <rect {!! $box($shape->rect) !!} rx="{{ $shape->radius }}" fill="#1b2d47" fill-opacity="0.75"/>
  <text x="{{ $shape->rect->x + $shape->rect->width / 2 }}" y="{{ $shape->rect->y + $shape->rect->height / 2 + $unit / 3 }}" text-anchor="middle" font-family="sans-serif" font-size="{{ $unit }}" fill="#fdfaf3">Hidden</text>
@endforeach
</svg>
