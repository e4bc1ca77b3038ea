@if ($page->written->entries !== [])
    <section class="evidence mt-[18px] border-t border-rule pt-2.5" id="evidence" data-live aria-labelledby="evidence-title">
        <h2 class="text-[1.125rem] text-quiet" id="evidence-title">So far</h2>
        {{-- The look of a line is said once: there may be hundreds. --}}
        <ul class="[&>li]:grid [&>li]:min-h-12 [&>li]:grid-cols-[auto_1fr_auto] [&>li]:items-center [&>li]:gap-3 [&>li]:border-b [&>li]:border-rule [&>li>a]:grid [&>li>a]:min-h-11 [&>li>a]:place-items-center [&>li>a]:px-2 [&_small]:ml-1.5 [&_small]:inline-block [&_time]:text-[0.9375rem] [&_time]:text-quiet">
            @foreach ($page->written->entries as $entry)
                <li>
                    @if ($entry->byInstrument && $page->fed()->instruments?->hasCurve)
                        <button type="button" class="min-h-11 min-w-11 text-left underline"
                            data-shows-at="{{ $entry->at }}"><span class="sr-only">Show in the curve: </span><time datetime="{{ date('c', $entry->at) }}">{{ date('H:i:s', $entry->at) }}</time></button>
                    @else
                        <time datetime="{{ date('c', $entry->at) }}">{{ date('H:i:s', $entry->at) }}</time>
                    @endif
                    <span>
                        {{ $entry->said }}
                        @if ($entry->correction)<small>corrected by {{ $entry->correction->by }}, {{ date('H:i', $entry->correction->at) }}</small>@endif
                        @if ($entry->waited !== '')<small>{{ $entry->waited }}</small>@endif
                        <small class="by">{{ $entry->byInstrument ? 'by instrument, connected by '.$entry->person : $entry->person }}</small>
                    </span>
                    <a href="/jobs/{{ $page->job->id }}/entries/{{ $entry->seq }}"
                        @if ($loop->first) data-key="u" data-key-label="Correct or take back the last entry" @endif>Correct</a>
                </li>
            @endforeach
        </ul>
        @if ($page->written->earlier > 0)
            <a class="button button-quiet"
                href="/jobs/{{ $page->job->id }}?step={{ urlencode($page->step->id) }}&entries=all#evidence">The {{ $page->written->earlier }} before these</a>
        @endif
    </section>
@endif
