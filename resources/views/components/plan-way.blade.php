{{-- A way of filling that is not the one planned: pressed, the plan goes by it. --}}
@props(['label'])
<button type="button" {{ $attributes->class('min-h-11 text-left underline decoration-coolant decoration-2 underline-offset-4') }}><span class="sr-only">Run </span>{{ $label }}</button>
