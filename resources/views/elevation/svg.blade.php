{{-- The elevation view: the vehicle from its left, front to the left, to scale. Coolant is solid, trapped air hatched, open air empty. --}}
@php [$drawing, $scale, $width, $alone] = [$picture->drawing, $picture->drawing->scale, App\Elevation\Scale::WIDTH, $alone ?? false]; @endphp
@php [$coolant, $trapped] = [Aqbel\Core\Flow\CellState::Coolant, Aqbel\Core\Flow\CellState::Trapped]; @endphp
<svg @if ($alone) xmlns="http://www.w3.org/2000/svg" width="1040" @endif viewBox="0 0 {{ $width }} {{ round($scale->height) }}"
    role="{{ $picture->editable ? 'group' : 'img' }}" data-scale="{{ $scale->unit }}" aria-label="Side view of the circuit: {{ $picture->circuit->name }}">
    @if ($alone)@include('elevation.style')@endif
    <defs>
        <pattern id="air-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="7" height="7" class="el-air-ground"/><line x1="0" y1="0" x2="0" y2="7" class="el-air-line"/>
        </pattern>
    </defs>
    <g @if ($tilt = $drawing->vehicle->tilt())transform="{{ $tilt }}"@endif>
        <path d="{{ $drawing->vehicle->path() }}" class="el-vehicle"/>
        @if ($wall = $drawing->vehicle->bulkhead())<line x1="{{ $wall }}" x2="{{ $wall }}" y1="8" y2="{{ $scale->floor() - 30 }}" class="el-bulkhead"/>@endif
    </g>
    @foreach ($drawing->vehicle->wheels() as $wheel)
        <circle cx="{{ $wheel['x'] }}" cy="{{ $wheel['y'] }}" r="{{ $wheel['r'] }}" class="el-tyre"/>
        <circle cx="{{ $wheel['x'] }}" cy="{{ $wheel['y'] }}" r="{{ round($wheel['r'] * .5, 1) }}" class="el-wheel"/>
    @endforeach
    <line x1="0" x2="{{ $width }}" y1="{{ $scale->floor() }}" y2="{{ $scale->floor() }}" class="el-floor"/>
    <text x="8" y="{{ $scale->floor() + 18 }}" class="el-note">front</text>
    @if ($scale->stretched > 1.05)<text x="{{ $width / 2 }}" y="{{ $scale->floor() + 18 }}" text-anchor="middle" class="el-note">heights {{ round($scale->stretched, 1) }} ×</text>@endif
    <text x="{{ $width - 8 }}" y="{{ $scale->floor() + 18 }}" text-anchor="end" class="el-note">rear</text>
    @foreach ($drawing->bodies as $body)@include('elevation.body')@endforeach
    @foreach ($drawing->tubes->groups as $tubes)
        <g class="el-tube">
            @foreach ($tubes as $tube)<path d="{{ $tube->path }}" class="el-halo" stroke-width="{{ $tube->bore + 7 }}"/>@endforeach
            @foreach ($tubes as $tube)<path d="{{ $tube->path }}" class="el-pipe" stroke-width="{{ $tube->bore + 3 }}"/>@endforeach
            @foreach ($tubes as $tube)
                <path d="{{ $tube->path }}" class="el-bore" stroke-width="{{ $tube->bore }}"/>
                @php $length = $alone ? $tube->length() : 1.0; @endphp
                @foreach ($tube->filled($coolant, $length) as $dash)<path d="{{ $tube->path }}" class="el-flow" stroke-width="{{ $tube->bore }}"@unless ($alone) pathLength="1"@endunless stroke-dasharray="{{ $dash }}"/>@endforeach
                @foreach ($tube->filled($trapped, $length) as $dash)<path d="{{ $tube->path }}" class="el-caught" stroke-width="{{ $tube->bore }}"@unless ($alone) pathLength="1"@endunless stroke-dasharray="{{ $dash }}"/>@endforeach
            @endforeach
        </g>
    @endforeach
    @foreach ($drawing->tubes->thermostats() as [$x, $y])
        <g class="el-thermostat"><circle cx="{{ $x }}" cy="{{ $y }}" r="9"/><line x1="{{ $x - 5 }}" y1="{{ $y + 5 }}" x2="{{ $x + 5 }}" y2="{{ $y - 5 }}"/></g>
    @endforeach
    @foreach ($drawing->airway as [$x, $y, $turned])
        <path d="M-7 -6 L5 0 L-7 6" transform="translate({{ $x }} {{ $y }}) rotate({{ $turned }})" class="el-airway"/>
    @endforeach
    @foreach ($scale->breaks as $x)
        @foreach ([$x - 4, $x + 4] as $edge)
            <path d="M{{ $edge }} {{ round($scale->height) - 26 }} l8 -30 l-8 -30 l8 -30 l-8 -30 l8 -30" class="el-break"/>
        @endforeach
    @endforeach
    <line x1="0" x2="{{ $width }}" y1="{{ $drawing->datum() }}" y2="{{ $drawing->datum() }}" class="el-datum"/>
    @foreach ($drawing->labels() as $label)
        {{-- Alone it is read in whatever font there is, and by what knows no lines: each is as wide as its place, on a ground of its own. --}}
        @foreach ($alone ? ['el-ground ', ''] : [] as $under)
            @foreach ($label->lines as $i => $line)
                <text x="{{ $label->x }}" y="{{ $label->y + $i * $label::LINE }}" text-anchor="{{ $label->anchor }}" class="{{ $under.$label->style($i) }}"
                    textLength="{{ $label->width($line) }}" lengthAdjust="spacingAndGlyphs">{{ $line }}</text>
            @endforeach
        @endforeach
        @unless ($alone)
            <text x="{{ $label->x }}" y="{{ $label->y }}" text-anchor="{{ $label->anchor }}">
                @foreach ($label->lines as $i => $line)<tspan x="{{ $label->x }}" dy="{{ $i === 0 ? 0 : $label::LINE }}" class="{{ $label->style($i) }}">{{ $line }}</tspan>@endforeach
            </text>
        @endunless
    @endforeach
    @foreach ($picture->marks() as $mark)@include('elevation.mark')@endforeach
    @foreach ($picture->asked() as $id => [$x, $y])<circle cx="{{ $x }}" cy="{{ $y }}" r="22" class="el-asked" data-asked="{{ $id }}"/>@endforeach
    @if ($picture->editable)
        @foreach ($drawing->nodes() as $id => [$x, $y])
            <circle cx="{{ $x }}" cy="{{ $y }}" r="9" class="el-node" tabindex="0" role="button" data-node="{{ $id }}"
                aria-label="{{ $picture->circuit->nodes[$id]->label }}: drag, or arrow keys move it by 10 mm"/>
        @endforeach
    @endif
</svg>
