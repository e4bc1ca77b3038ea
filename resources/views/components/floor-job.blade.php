@props(['job', 'now'])
@php
    $summary = $job->summary;
    $clock = $summary['clock'] ?? null;
    $left = $clock === null ? 0 : $clock['until'] - $now;
@endphp
<li class="floor-job">
    <a href="/jobs/{{ $job->id }}">
        <span class="plate">{{ $job->plate }}</span>
        <span class="floor-vehicle">{{ $job->name }} <small>{{ $job->reason }}</small></span>
        <span class="floor-step"><i>{{ $summary['stage'] }}</i>{{ $summary['title'] }}@if ($summary['verdict']) <small class="tone-{{ $summary['tone'] }}">{{ $summary['verdict'] }}</small>@endif</span>
        <span class="floor-progress" aria-label="{{ $summary['done'] }} of {{ $summary['steps'] }} steps done">{{ $summary['done'] }}/{{ $summary['steps'] }}</span>
        @if ($left > 0)
            <span class="floor-clock" data-clock data-until="{{ $clock['until'] }}" data-since="{{ $clock['since'] }}"><b class="clock-time">{{ sprintf('%d:%02d', intdiv($left, 60), $left % 60) }}</b><small>{{ $clock['label'] }}</small></span>
        @else
            <span class="floor-clock is-now"><b>now</b><small>hands needed</small></span>
        @endif
    </a>
</li>
