{{-- What a technician recognises, with its coolant inside. --}}
@php [$x, $y, $w, $h] = [$body->x, $body->y, $body->width, $body->height]; @endphp
<g class="el-body el-{{ $body->kind }}">
    @if ($body->kind === 'engine')
        <path d="M{{ $x + 14 }} {{ $body->bottom() }} l10 24 H{{ $x + $w - 24 }} l10 -24 z" class="el-shell"/>
        <rect x="{{ $x + 12 }}" y="{{ $y - 14 }}" width="{{ $w - 24 }}" height="16" rx="6" class="el-shell"/>
        <rect x="{{ $x + 4 }}" y="{{ $y }}" width="{{ $w - 8 }}" height="{{ max(0, $body->headAt - $y) }}" rx="6" class="el-shell"/>
        <rect x="{{ $x }}" y="{{ $body->headAt }}" width="{{ $w }}" height="{{ $body->bottom() - $body->headAt }}" rx="8" class="el-shell"/>
    @elseif ($body->kind === 'tank')
        <rect x="{{ $body->middle() - 11 }}" y="{{ $y - 10 }}" width="22" height="11" rx="2" class="el-cap"/>
    @elseif ($body->kind === 'radiator')
        @php $fan = $body->fanBehind ? $x + $w + 12 : $x - 12; @endphp
        <path d="M{{ $fan }} {{ $y + $h * .18 }} q6 {{ $h * .16 }} 0 {{ $h * .32 }} q-6 {{ -$h * .16 }} 0 {{ -$h * .32 }} m0 {{ $h * .36 }} q6 {{ $h * .16 }} 0 {{ $h * .32 }} q-6 {{ -$h * .16 }} 0 {{ -$h * .32 }}" class="el-fan"/>
        <rect x="{{ $fan - 4 }}" y="{{ $y + $h * .5 - 9 }}" width="8" height="18" rx="2" class="el-shell"/>
    @else
        <rect x="{{ $x }}" y="{{ $y }}" width="{{ $w }}" height="{{ $h }}" rx="5" class="el-shell"/>
    @endif
    @foreach ($body->cells as $cell)
        <rect x="{{ $cell->x }}" y="{{ $cell->y }}" width="{{ $cell->width }}" height="{{ $cell->height }}" class="el-room"/>
        @foreach ($cell->filled($coolant) as $in)<rect x="{{ $in['x'] }}" y="{{ $in['y'] }}" width="{{ $in['width'] }}" height="{{ $in['height'] }}" class="el-coolant"/>@endforeach
        @foreach ($cell->filled($trapped) as $in)<rect x="{{ $in['x'] }}" y="{{ $in['y'] }}" width="{{ $in['width'] }}" height="{{ $in['height'] }}" class="el-trapped"/>@endforeach
        <rect x="{{ $cell->x }}" y="{{ $cell->y }}" width="{{ $cell->width }}" height="{{ $cell->height }}" rx="{{ $body->kind === 'tank' ? 8 : 3 }}" class="el-wall"/>
    @endforeach
    @if (in_array($body->kind, ['radiator', 'heater', 'cooler'], true))
        <path d="@for ($fin = $y + 14; $fin < $body->bottom() - 12; $fin += 7)M{{ $x + 3 }} {{ round($fin, 1) }}h{{ $w - 6 }}@endfor" class="el-fins"/>
    @endif
    @if ($body->kind === 'radiator')
        <rect x="{{ $x - 5 }}" y="{{ $y - 2 }}" width="{{ $w + 10 }}" height="13" rx="4" class="el-end"/>
        <rect x="{{ $x - 5 }}" y="{{ $body->bottom() - 11 }}" width="{{ $w + 10 }}" height="13" rx="4" class="el-end"/>
    @endif
</g>
