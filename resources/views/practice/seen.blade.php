@if (isset($practice) && $practice->practice->came_to === null)
    <details class="mb-4 border-l-4 border-ink bg-panel p-4" open>
        <summary class="py-2.5 font-semibold">At the vehicle you see and read</summary>
        @foreach ($practice->seen($page->sheet === null ? [$page->step] : array_map(fn ($block) => $block->step, $page->sheet->blocks), $page->units) as [$under, $lines])
            <p class="mt-2">{{ implode(' · ', $lines) }} <small class="text-quiet">for “{{ $under }}”</small></p>
        @endforeach
        @if ($practice->byGauge())<p class="mt-2">Its gauges are below; they show what happens as you press.</p>@endif
    </details>
@endif
