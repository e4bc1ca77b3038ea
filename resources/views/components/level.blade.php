{{-- The level line: one number against the datum it is judged by, what is above it and what is below. --}}
@props(['figure', 'units'])
@php
    $text = $figure->base === null ? '–' : $units->format($figure->base, $figure->in, false);
    $unit = ($figure->in instanceof Aqbel\Core\Quantity\Unit ? $figure->in : $units->unit($figure->in))->value;
    $span = $figure->datum === null || $figure->base === null ? null : max(abs($figure->datum), abs($figure->base), 1e-9) * 1.15;
    $rise = $span === null ? 0 : max(2, min(100, 100 * abs($figure->base) / $span));
    $line = $figure->datum === null ? 50 : ($span === null ? 70 : max(4, min(96, 100 * abs($figure->datum) / $span)));
    $wet = round($rise * 1.32, 1);
    $mark = round(132 - $line * 1.32, 1);
@endphp
<div class="level" role="group" aria-label="{{ $figure->label }}">
    <svg class="level-tube" viewBox="0 0 34 132" aria-hidden="true" preserveAspectRatio="none">
        <rect x="5" y="0" width="24" height="132" class="tube"/>
        @if ($figure->base !== null)<rect x="5" y="{{ 132 - $wet }}" width="24" height="{{ $wet }}" class="tube-wet"/>@endif
        <line x1="0" x2="34" y1="{{ $mark }}" y2="{{ $mark }}" class="tube-datum"/>
    </svg>
    <div class="level-body">
        <p class="level-label">{{ $figure->label }} <small>{{ $figure->origin }}</small></p>
        <p class="level-number"><span data-figure>{{ $text }}</span> <small>{{ $unit }}@if ($figure->plusMinus > 0) ± {{ $units->format($figure->plusMinus, $figure->in, false) }}@endif</small></p>
        @if ($figure->datum !== null)
            <p class="level-datum"><span>{{ $figure->datumLabel }}</span> <b>{{ $units->format($figure->datum, $figure->in) }}</b></p>
        @endif
    </div>
</div>
