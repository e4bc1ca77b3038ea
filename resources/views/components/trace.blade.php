@props(['picture'])
<figure class="trace">
    <figcaption><b>{{ $picture->trace->label }}</b><span>{{ $picture->from() }} → {{ $picture->to() }} in {{ $picture->minutes() }}</span></figcaption>
    <svg viewBox="0 0 {{ $picture::WIDTH }} {{ $picture::HEIGHT }}" aria-hidden="true">
        @if ($picture->line() !== '')<polyline class="trace-line" points="{{ $picture->line() }}"/>@endif
        @foreach ($picture->dots() as [$x, $y])<circle class="trace-dot" cx="{{ $x }}" cy="{{ $y }}" r="5"/>@endforeach
    </svg>
</figure>
