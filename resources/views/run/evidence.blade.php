@if ($page->written->entries !== [])
    <section class="evidence mt-[18px] border-t border-rule pt-2.5" id="evidence" data-live aria-labelledby="evidence-title">
        <h2 class="text-[1.125rem] text-quiet" id="evidence-title">So far</h2>
        <ul>
            @foreach ($page->written->entries as $entry)
                <li class="grid min-h-12 grid-cols-[auto_1fr_auto] items-center gap-3 border-b border-rule [&_small]:ml-1.5 [&_small]:inline-block [&_time]:text-[0.9375rem] [&_time]:text-quiet">
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
                    <a class="grid min-h-11 place-items-center px-2" href="/jobs/{{ $page->job->id }}/entries/{{ $entry->seq }}"
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
