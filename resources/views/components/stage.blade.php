{{-- A stage of the job by its number: done, in hand, or still to come. --}}
@props(['number', 'done' => false, 'current' => false])
<span {{ $attributes->class('flex min-h-11 items-center gap-2 whitespace-nowrap') }}><i @class(['size-[26px] flex-none rounded-full text-center font-gauge text-[1rem] font-semibold not-italic',
    'border-3 border-level leading-[22px]' => $current, 'border-[1.5px] leading-[26px]' => ! $current,
    'border-coolant-deep bg-coolant-deep text-panel' => $done && ! $current, 'border-quiet' => ! $done && ! $current])>{{ $number }}</i>{{ $slot }}</span>
