{{-- What most people need not see, behind a word. --}}
@props(['says', 'open' => false])
<details {{ $attributes->class('group') }} @if ($open) open @endif>
    <summary class="grid min-h-11 min-w-11 cursor-pointer list-none items-center justify-items-start text-[1rem] text-quiet underline group-open:justify-start [&::-webkit-details-marker]:hidden">{{ $says }}</summary>
    {{ $slot }}
</details>
