@php [$right, $foot] = [$curve::WIDTH - 8, $curve::HEIGHT - $curve::FOOT]; @endphp
<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {{ $curve::WIDTH }} {{ $curve::HEIGHT }}" width="{{ $curve::WIDTH }}"
    height="{{ $curve::HEIGHT }}" role="img" aria-label="{{ $curve->said() }}" font-family="sans-serif" font-size="11" class="h-auto w-full">
    @foreach ($curve->fanStretches() as $fan)<rect x="{{ $fan['x'] }}" y="8" width="{{ $fan['width'] }}" height="{{ $foot - 8 }}"
        fill="#cfe3e2" class="fill-coolant/20"/><text x="{{ $fan['x'] + 2 }}" y="{{ $foot - 4 }}" fill="#00525b"
        class="fill-coolant-deep">fan</text>@endforeach
    @foreach ($curve->scale() as $line)<line x1="{{ $curve::LEFT }}" x2="{{ $right }}" y1="{{ $line['y'] }}" y2="{{ $line['y'] }}"
        stroke="#d6e0dc" class="stroke-rule" stroke-width="0.6"/><text x="{{ $curve::LEFT - 4 }}" y="{{ $line['y'] + 4 }}" text-anchor="end"
        fill="#415955" class="fill-quiet">{{ $line['text'] }}</text>@endforeach
    @foreach ($curve->levelLines() as $level)<line x1="{{ $curve::LEFT }}" x2="{{ $right }}" y1="{{ $level['y'] }}" y2="{{ $level['y'] }}"
        stroke="#415955" class="stroke-quiet" stroke-width="1" stroke-dasharray="2 4"/><text x="{{ $curve::LEFT + 4 }}"
        y="{{ $level['y'] - 3 }}" fill="#415955" class="fill-quiet">{{ $level['text'] }}</text>@endforeach
    @foreach ($curve->lines as $channel => $points)
        @php [$stroke, $class, $width, $dash] = match (true) { $channel === 'coolant_c' => ['#00737f', 'stroke-coolant', 2.4, ''], $channel === 'far_side_c' => ['#0f211f', 'stroke-ink', 1.4, ''], default => ['#b23a08', 'stroke-level', 1.6, '1 3'] }; @endphp
        <polyline points="{{ $points }}" fill="none" stroke="{{ $stroke }}" class="{{ $class }}" stroke-width="{{ $width }}"
            @if ($dash !== '') stroke-dasharray="{{ $dash }}" @endif stroke-linejoin="round"/>
    @endforeach
    @foreach ($curve->minutes() as $minute)<text x="{{ $minute['x'] }}" y="{{ $curve::HEIGHT - 6 }}" fill="#415955"
        class="fill-quiet">{{ $minute['text'] }}</text>@endforeach
    <text x="{{ $right }}" y="{{ $foot - 4 }}" text-anchor="end" fill="#415955"
        class="fill-quiet">{{ collect(array_keys($curve->lines))->map(fn ($channel) => $curve::named($channel).match (true) { $channel === 'coolant_c' => ' (thick)', $channel === 'far_side_c' => ' (thin)', default => ' (dotted)' })->implode(' · ') }}</text>
</svg>
