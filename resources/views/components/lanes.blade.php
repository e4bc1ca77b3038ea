{{-- The day as lanes: solid where hands are needed, open where a clock runs. --}}
@props(['jobs', 'now'])
@php
    $hours = 6;
    $width = 960;
    $left = 120;
    $perMinute = ($width - $left) / ($hours * 60);
    $row = 30;
    $height = 28 + $row * $jobs->count();
@endphp
<section class="lanes" aria-labelledby="lanes-title">
    <h2 id="lanes-title">The next {{ $hours }} hours</h2>
    <div class="lanes-scroll" tabindex="0" role="group" aria-labelledby="lanes-title">
    <svg viewBox="0 0 {{ $width }} {{ $height }}" role="img" aria-label="Hands and waits of each job over the next {{ $hours }} hours">
        @for ($h = 0; $h <= $hours; $h++)
            <line x1="{{ $left + $h * 60 * $perMinute }}" x2="{{ $left + $h * 60 * $perMinute }}" y1="20" y2="{{ $height }}" class="lane-hour"/>
            @if ($h < $hours)<text x="{{ $left + $h * 60 * $perMinute + 3 }}" y="14" class="lane-text">{{ date('H:i', $now + $h * 3600) }}</text>@endif
        @endfor
        @foreach ($jobs as $job)
            @php
                $y = 26 + $loop->index * $row;
                $clock = $job->summary['clock'] ?? null;
                $minute = $clock === null ? 0 : max(0, ($clock['until'] - $now) / 60);
                $spans = $minute > 0 ? [['hands' => false, 'from' => 0, 'to' => $minute]] : [];
                foreach ($job->summary['lanes'] ?? [] as $span) { $spans[] = ['hands' => $span['hands'], 'from' => $minute, 'to' => $minute += $span['minutes']]; }
            @endphp
            <text x="0" y="{{ $y + 15 }}" class="lane-plate">{{ $job->plate }}</text>
            @foreach ($spans as $span)
                @continue ($span['from'] >= $hours * 60)
                <rect x="{{ round($left + $span['from'] * $perMinute, 1) }}" y="{{ $span['hands'] ? $y : $y + 8 }}" width="{{ round(max(1, (min($span['to'], $hours * 60) - $span['from']) * $perMinute), 1) }}" height="{{ $span['hands'] ? 20 : 4 }}" class="{{ $span['hands'] ? 'lane-hands' : 'lane-wait' }}"/>
            @endforeach
        @endforeach
        <line x1="{{ $left }}" x2="{{ $left }}" y1="4" y2="{{ $height }}" class="lane-now"/>
    </svg>
    </div>
    <p class="help"><span class="key-swatch key-hands"></span> hands on &nbsp; <span class="key-swatch key-wait"></span> waiting</p>
</section>
