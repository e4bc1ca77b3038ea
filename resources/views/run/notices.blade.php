@php $changed = $page->changed(); @endphp
@if ($changed !== [])
    <ul class="just-now" aria-label="Changed by what was put right">
        @foreach ($changed as $one)
            <li class="verdict-{{ $one->tone()->value }}">
                @icon(['pass' => 'circle-check', 'wait' => 'hourglass', 'stop' => 'octagon-x'][$one->tone()->value])
                <span><a href="{{ $one->href }}">{{ $one->title }}</a>: <b>{{ $one->said() }}.</b></span>
            </li>
        @endforeach
    </ul>
@endif
@if ($page->justNow !== [])
    <ul class="just-now" aria-label="Just finished">
        @foreach ($page->justNow as $done)
            <li class="verdict-{{ $done->verdict->tone->value }}">
                @icon(['pass' => 'circle-check', 'wait' => 'hourglass', 'stop' => 'octagon-x'][$done->verdict->tone->value])
                <span>{{ $done->title }}: <b>{{ $done->verdict->title }}.</b> {{ $done->verdict->reason }}</span>
            </li>
        @endforeach
    </ul>
@endif
@if ($page->job->rests_until?->isFuture())
    <p class="ahead">@icon('hourglass')Rests until {{ $page->job->rests_until->format('Y-m-d H:i') }}. The next entry wakes it.</p>
@endif
@if ($page->newerRevision())
    <p class="ahead">@icon('triangle-alert')The circuit was changed since this was planned. <a href="/jobs/{{ $page->job->id }}/manage">Look</a></p>
@endif
