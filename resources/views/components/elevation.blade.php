{{-- The elevation view: side view to scale, front to the left. Coolant is solid, trapped air hatched, open air empty. --}}
@props(['circuit', 'runs' => null, 'states' => [], 'focus' => null, 'lift' => 0.0, 'legend' => true, 'editable' => false, 'pockets' => [], 'notes' => []])
@php
    $drawing = new App\Elevation\Drawing($circuit, $runs, (float) $lift, $pockets);
    $height = round($drawing->height);
    $wheel = $drawing->wheel();
    $labels = $drawing->labels();
    $kinds = ['fill' => 'fill neck', 'bleed' => 'bleed point', 'drain' => 'drain'];
@endphp
<figure {{ $attributes->class('elevation') }}>
    <svg viewBox="0 0 {{ App\Elevation\Drawing::WIDTH }} {{ $height }}" role="{{ $editable ? 'group' : 'img' }}" data-scale="{{ $drawing->scale() }}" aria-label="Side view of the circuit: {{ $circuit->name }}">
        <defs>
            <pattern id="air-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="7" height="7" class="el-air-ground"/><line x1="0" y1="0" x2="0" y2="7" class="el-air-line"/></pattern>
        </defs>
        <line x1="0" x2="{{ App\Elevation\Drawing::WIDTH }}" y1="{{ $drawing->floor() }}" y2="{{ $drawing->floor() }}" class="el-floor"/>
        @if ($wheel)<circle cx="{{ $wheel['x'] }}" cy="{{ $wheel['y'] }}" r="{{ $wheel['r'] }}" class="el-wheel"/><circle cx="{{ $wheel['x'] }}" cy="{{ $wheel['y'] }}" r="{{ round($wheel['r'] * .55, 1) }}" class="el-wheel"/>@endif
        <text x="8" y="{{ $drawing->floor() + 18 }}" class="el-note">front</text>
        <text x="{{ App\Elevation\Drawing::WIDTH - 8 }}" y="{{ $drawing->floor() + 18 }}" text-anchor="end" class="el-note">rear</text>
        @foreach ($labels as $label)
            @continue (in_array($label['kind'], ['datum', 'space'], true))
            <line x1="{{ $label['from'][0] }}" y1="{{ $label['from'][1] }}" x2="{{ $label['to'][0] }}" y2="{{ $label['to'][1] }}" class="el-leader"/>
        @endforeach
        @foreach ($drawing->passages() as $passage)
            <g class="el-passage el-{{ $passage['kind'] }}">
                <polygon points="{{ $passage['outline'] }}" class="el-body"/>
                @foreach ($passage['parts'] as $part)
                    @if ($part['state'] > 0)<polygon points="{{ $part['points'] }}" class="{{ $part['state'] === 1 ? 'el-coolant' : 'el-trapped' }}"/>@endif
                @endforeach
                <polygon points="{{ $passage['outline'] }}" class="el-wall"/>
            </g>
        @endforeach
        @foreach ($drawing->breaks() as $x)
            <path d="M{{ $x - 4 }} {{ $height - 26 }} l8 -30 l-8 -30 l8 -30 l-8 -30 l8 -30 M{{ $x + 4 }} {{ $height - 26 }} l8 -30 l-8 -30 l8 -30 l-8 -30 l8 -30" class="el-break"/>
        @endforeach
        <line x1="0" x2="{{ App\Elevation\Drawing::WIDTH }}" y1="{{ $drawing->datum() }}" y2="{{ $drawing->datum() }}" class="el-datum"/>
        @foreach ($labels as $label)
            <text x="{{ $label['x'] }}" y="{{ $label['y'] }}" text-anchor="{{ $label['anchor'] }}" class="{{ ['datum' => 'el-datum-text', 'pocket' => 'el-pocket-text'][$label['kind']] ?? 'el-label' }}">@foreach ($label['lines'] as $i => $line)<tspan x="{{ $label['x'] }}" dy="{{ $i === 0 ? 0 : 17 }}">{{ $line }}</tspan>@endforeach</text>
        @endforeach
        @foreach ($drawing->ports() as $port)
            @php [$x, $y, $state] = [$port['x'], $port['y'], $states[$port['id']] ?? 'shut']; @endphp
            <g class="el-port el-port-{{ $state }} @if ($port['id'] === $focus) el-focus @endif" data-port="{{ $port['id'] }}" data-state="{{ $state }}">
                <line x1="{{ $port['at'][0] }}" y1="{{ $port['at'][1] }}" x2="{{ $x }}" y2="{{ $y }}" class="el-stem"/>
                @if ($port['id'] === $focus)<circle cx="{{ $x }}" cy="{{ $y }}" r="21" class="el-ring"/>@endif
                @switch ($port['kind'])
                    @case ('fill')<path d="M{{ $x - 15 }} {{ $y - 12 }} h30 l-9 24 h-12 z" class="el-mark"/>@break
                    @case ('bleed')<path d="M{{ $x }} {{ $y - 17 }} l17 17 l-17 17 l-17 -17 z" class="el-mark"/>@break
                    @default<rect x="{{ $x - 12 }}" y="{{ $y - 12 }}" width="24" height="24" rx="3" class="el-mark"/>
                @endswitch
                <text x="{{ $x }}" y="{{ $y + 5 }}" text-anchor="middle" class="el-number">{{ $port['number'] }}</text>
            </g>
        @endforeach
        @if ($editable)@foreach ($drawing->nodes() as $id => [$x, $y])<circle cx="{{ $x }}" cy="{{ $y }}" r="9" class="el-node" tabindex="0" role="button" data-node="{{ $id }}" aria-label="{{ $circuit->nodes[$id]->label }}: drag, or arrow keys move it by 10 mm"/>@endforeach @endif
    </svg>
    @if ($legend)
        <figcaption>
            <ul class="el-key">
                <li><span class="key-swatch key-coolant"></span>coolant</li>
                <li><span class="key-swatch key-trapped"></span>trapped air</li>
                <li><span class="key-swatch key-open"></span>open air</li>
            </ul>
            <ol class="el-ports">
                @foreach ($drawing->ports() as $port)
                    @php $model = $circuit->ports[$port['id']]; $state = $states[$port['id']] ?? null; @endphp
                    <li @class(['is-focus' => $port['id'] === $focus])>
                        <span class="el-tag el-tag-{{ $port['kind'] }}">{{ $port['number'] }}</span>
                        <span>{{ $model->label }} <small>{{ $kinds[$port['kind']] }}@if ($state) · <b>{{ $state }}</b>@endif @isset ($notes[$port['id']]) · {{ $notes[$port['id']] }}@endisset</small></span>
                    </li>
                @endforeach
            </ol>
        </figcaption>
    @endif
</figure>
