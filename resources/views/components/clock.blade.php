@props(['clock', 'now'])
@php $left = $clock->until - $now; @endphp
<div class="clock" data-clock data-until="{{ $clock->until }}" data-since="{{ $clock->since }}" role="timer">
    @icon('timer')
    <span class="clock-label">{{ $clock->label }}@if ($clock->estimate) <small>estimate</small>@endif</span>
    <b class="clock-time">{{ $left > 0 ? sprintf('%d:%02d', intdiv($left, 60), $left % 60) : 'over' }}</b>
    <span class="clock-at">until {{ date('H:i', $clock->until) }}</span>
</div>
