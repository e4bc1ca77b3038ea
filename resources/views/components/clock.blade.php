@props(['face'])
<div class="group/clock clock my-1.5 flex items-center gap-2.5 border-2 border-ink px-3.5 py-1.5 danger:hidden [&.is-over]:border-go [&.is-over]:bg-go [&.is-over]:text-on-go" data-clock data-until="{{ $face->clock->until }}" data-since="{{ $face->clock->since }}" role="timer">
    @icon('timer')
    <span>{{ $face->clock->label }}</span>
    <b class="clock-time ml-auto font-gauge text-[2rem]/none font-semibold">{{ $face->time() }}</b>
    <span class="whitespace-nowrap text-quiet group-[.is-over]/clock:text-inherit">{{ $face->clock->estimate ? 'about' : 'until' }} {{ date('H:i', $face->clock->until) }}</span>
</div>
