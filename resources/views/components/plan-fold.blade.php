{{-- What has a stated default, one press away. --}}
@props(['label', 'said', 'open'])
<details class="group border-b border-rule" data-said-by-choices @if ($open) open @endif>
    <summary class="grid min-h-11 grid-cols-[minmax(86px,auto)_1fr_20px] items-center gap-2.5 after:text-right after:text-quiet after:content-['▾']">
        <span class="text-quiet">{{ $label }}</span>
        <b class="line-clamp-3 text-right leading-tight font-semibold group-open:invisible" data-said>{{ $said }}</b>
    </summary>
    <div class="field grid gap-2.5 pt-0.5 pb-3">{{ $slot }}</div>
</details>
