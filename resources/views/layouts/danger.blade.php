{{-- On every page of the shop: where an engine is to be shut off now. --}}
<div id="danger" data-live @if ($dangers !== []) role="alert" @endif>
    @foreach ($dangers as $one)
        <a class="flex min-h-18 flex-wrap items-center gap-x-[18px] gap-y-2 bg-alarm px-6 py-2.5 text-[1.375rem] text-white no-underline aria-[current]:hidden print:hidden [&_.icon]:size-11 not-only:min-h-12 not-only:gap-y-0 not-only:py-1 not-only:text-[1.125rem] not-only:[&_.icon]:size-8 not-only:[&_:is(b,.plate)]:text-[1.25rem]" href="/jobs/{{ $one->job }}" @if ($about === (string) $one->job) aria-current="page" @endif>
            @icon('octagon-x')<b class="text-[1.875rem]">Shut off now</b> <span class="plate bg-white text-[1.5rem] text-on-plate">{{ $one->plate }}</span>
            <span>{{ $one->vehicle }}@if ($one->place !== ''), {{ lcfirst($one->place) }}@endif</span>
        </a>
    @endforeach
</div>
