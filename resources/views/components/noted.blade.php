{{-- A verdict in a line, as it fell a moment ago. --}}
@props(['tone'])
<li class="verdict-{{ $tone->value }} flex items-start gap-2.5 border-l-5 px-3 py-1 leading-[1.3]">
    @icon(['pass' => 'circle-check', 'wait' => 'hourglass', 'stop' => 'octagon-x'][$tone->value])
    <span class="line-clamp-2 text-ink">{{ $slot }}</span>
</li>
