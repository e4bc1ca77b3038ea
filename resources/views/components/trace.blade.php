@props(['picture'])
<figure class="my-3.5">
    <figcaption class="flex justify-between gap-3"><b>{{ $picture->trace->label }}</b>
        @if (count($picture->dots()) > 1)<span>{{ $picture->from() }} → {{ $picture->to() }} in {{ $picture->minutes() }}</span>@else<span>{{ $picture->from() }}</span>@endif</figcaption>
    <svg class="block h-auto w-full border-b-2 border-rule" viewBox="0 0 {{ $picture::WIDTH }} {{ $picture->height() }}" aria-hidden="true">
        @if ($picture->trace->band !== [])<polygon class="fill-coolant opacity-30" points="{{ $picture->band() }}"/>@endif
        @if ($picture->goal() !== null)
            <line class="stroke-level [stroke-dasharray:6_5] [stroke-width:2]" x1="0" x2="{{ $picture::WIDTH }}" y1="{{ $picture->goal() }}"
                y2="{{ $picture->goal() }}"/>
            <text class="fill-ink text-[15px] font-semibold" x="6" y="{{ $picture->goal() + 18 }}">{{ $picture->goalSaid() }}</text>
        @endif
        @if ($picture->path() !== '')<polyline class="fill-none stroke-coolant [stroke-width:2]" points="{{ $picture->path() }}"/>@endif
        @if ($picture->line() !== '')<polyline class="fill-none stroke-level [stroke-dasharray:6_4] [stroke-width:2]"
            points="{{ $picture->line() }}"/>@endif
        @foreach ($picture->dots() as [$x, $y])<circle class="fill-coolant" cx="{{ $x }}" cy="{{ $y }}" r="5"/>@endforeach
    </svg>
</figure>
