{{-- The day as lanes: solid where hands are needed, open where a clock runs. --}}
@props(['chart'])
<section class="mt-7" aria-labelledby="lanes-title">
    <h2 id="lanes-title">The next {{ $chart::HOURS }} hours <a href="/day"
        class="inline-flex min-h-11 min-w-11 items-center text-base font-normal">day plan</a></h2>
    <div class="overflow-x-auto bg-panel px-3.5 py-2.5" tabindex="0" role="group" aria-labelledby="lanes-title">
        <svg class="h-auto w-full min-w-[720px]" viewBox="0 0 {{ $chart::WIDTH }} {{ $chart->height() }}" role="img"
            aria-label="Hands and waits of each job over the next {{ $chart::HOURS }} hours">
            @foreach ($chart->hours() as $hour)
                <line x1="{{ $hour['x'] }}" x2="{{ $hour['x'] }}" y1="20" y2="{{ $chart->height() }}" class="stroke-rule"/>
                @if ($hour['text'] !== '')<text x="{{ $hour['x'] + 3 }}" y="14"
                    class="fill-quiet text-[13px]">{{ $hour['text'] }}</text>@endif
            @endforeach
            @foreach ($chart->rows() as $row)
                <text x="0" y="{{ $row['y'] }}" class="fill-ink font-gauge text-[16px] font-semibold">{{ $row['plate'] }}</text>
                @foreach ($row['spans'] as $span)
                    <rect x="{{ $span['x'] }}" y="{{ $span['y'] }}" width="{{ $span['width'] }}" height="{{ $span['hands'] ? 20 : 4 }}"
                        class="{{ $span['hands'] ? 'fill-coolant' : 'fill-none stroke-ink stroke-[1.4]' }}"/>
                    @if ($span['who'] !== '')<text x="{{ $span['x'] + 4 }}" y="{{ $span['y'] + 15 }}"
                        class="fill-panel text-[13px] font-semibold">{{ $span['who'] }}</text>@endif
                @endforeach
            @endforeach
            <line x1="{{ $chart::LEFT }}" x2="{{ $chart::LEFT }}" y1="4" y2="{{ $chart->height() }}" class="stroke-level stroke-[4]"/>
        </svg>
    </div>
    <p class="help"><span class="key-swatch key-hands"></span> somebody at it, by first letter &nbsp;
        <span class="key-swatch key-wait"></span> waiting</p>
</section>
