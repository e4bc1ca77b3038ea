@props(['face'])
<div class="clock" data-clock data-until="{{ $face->clock->until }}" data-since="{{ $face->clock->since }}" role="timer">
    @icon('timer')
    <span class="clock-label">{{ $face->clock->label }}</span>
    <b class="clock-time">{{ $face->time() }}</b>
    <span class="clock-at">{{ $face->clock->estimate ? 'about' : 'until' }} {{ date('H:i', $face->clock->until) }}</span>
</div>
