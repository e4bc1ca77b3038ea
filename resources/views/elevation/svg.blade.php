{{-- The elevation view: side view to scale, front to the left. Coolant is solid, trapped air hatched, open air empty. --}}
@php [$drawing, $width, $alone] = [$picture->drawing, App\Elevation\Drawing::WIDTH, $alone ?? false]; @endphp
<svg @if ($alone) xmlns="http://www.w3.org/2000/svg" width="1040" @endif viewBox="0 0 {{ $width }} {{ round($drawing->height) }}"
    role="{{ $picture->editable ? 'group' : 'img' }}" data-scale="{{ $drawing->scale() }}" aria-label="Side view of the circuit: {{ $picture->circuit->name }}">
    @if ($alone)@include('elevation.style')@endif
    <defs>
        <pattern id="air-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="7" height="7" class="el-air-ground"/><line x1="0" y1="0" x2="0" y2="7" class="el-air-line"/>
        </pattern>
    </defs>
    <line x1="0" x2="{{ $width }}" y1="{{ $drawing->floor() }}" y2="{{ $drawing->floor() }}" class="el-floor"/>
    @if ($wheel = $drawing->wheel())
        <circle cx="{{ $wheel['x'] }}" cy="{{ $wheel['y'] }}" r="{{ $wheel['r'] }}" class="el-wheel"/>
        <circle cx="{{ $wheel['x'] }}" cy="{{ $wheel['y'] }}" r="{{ round($wheel['r'] * .55, 1) }}" class="el-wheel"/>
    @endif
    <text x="8" y="{{ $drawing->floor() + 18 }}" class="el-note">front</text>
    @if ($drawing->stretched > 1.05)<text x="{{ $width / 2 }}" y="{{ $drawing->floor() + 18 }}" text-anchor="middle" class="el-note">heights {{ round($drawing->stretched, 1) }} ×</text>@endif
    <text x="{{ $width - 8 }}" y="{{ $drawing->floor() + 18 }}" text-anchor="end" class="el-note">rear</text>
    @foreach ($labels = $drawing->labels() as $label)
        @continue (! $label->leads())
        <line x1="{{ $label->from[0] }}" y1="{{ $label->from[1] }}" x2="{{ $label->to[0] }}" y2="{{ $label->to[1] }}" class="el-leader"/>
    @endforeach
    @foreach ($drawing->passages() as $passage)
        <g class="el-passage el-{{ $passage->kind->value }}">
            <polygon points="{{ $passage->outline }}" class="el-body"/>
            @foreach ($passage->coolant as $points)<polygon points="{{ $points }}" class="el-coolant"/>@endforeach
            @foreach ($passage->trapped as $points)<polygon points="{{ $points }}" class="el-trapped"/>@endforeach
            <polygon points="{{ $passage->outline }}" class="el-wall"/>
        </g>
    @endforeach
    @foreach ($drawing->breaks() as $x)
        @foreach ([$x - 4, $x + 4] as $edge)
            <path d="M{{ $edge }} {{ round($drawing->height) - 26 }} l8 -30 l-8 -30 l8 -30 l-8 -30 l8 -30" class="el-break"/>
        @endforeach
    @endforeach
    <line x1="0" x2="{{ $width }}" y1="{{ $drawing->datum() }}" y2="{{ $drawing->datum() }}" class="el-datum"/>
    @foreach ($labels as $label)
        <text x="{{ $label->x }}" y="{{ $label->y }}" text-anchor="{{ $label->anchor }}" class="{{ $label->style() }}">
            @foreach ($label->lines as $i => $line)<tspan x="{{ $label->x }}" dy="{{ $i === 0 ? 0 : 17 }}">{{ $line }}</tspan>@endforeach
        </text>
    @endforeach
    @foreach ($picture->marks() as $mark)@include('elevation.mark')@endforeach
    @if ($picture->editable)
        @foreach ($drawing->nodes() as $id => [$x, $y])
            <circle cx="{{ $x }}" cy="{{ $y }}" r="9" class="el-node" tabindex="0" role="button" data-node="{{ $id }}"
                aria-label="{{ $picture->circuit->nodes[$id]->label }}: drag, or arrow keys move it by 10 mm"/>
        @endforeach
    @endif
</svg>
