@php $changed = $page->changed(); @endphp
@if ($changed !== [])
    <ul class="mb-2.5 grid gap-0.5" aria-label="Changed by what was put right">
        @foreach ($changed as $one)
            <x-noted :tone="$one->tone()"><a href="{{ $one->href }}">{{ $one->title }}</a>: <b>{{ $one->said() }}.</b></x-noted>
        @endforeach
    </ul>
@endif
@if ($page->justNow !== [])
    <ul class="mb-2.5 grid gap-0.5" aria-label="Just finished">
        @foreach ($page->justNow as $done)
            <x-noted :tone="$done->verdict->tone">{{ $done->title }}: <b>{{ $done->verdict->title }}.</b> {{ $done->verdict->reason }}</x-noted>
        @endforeach
    </ul>
@endif
@if ($page->job->rests_until?->isFuture())
    <p class="ahead mt-3 flex flex-wrap items-center gap-2.5 bg-sunk px-3.5 py-2.5">@icon('hourglass')Rests until {{ $page->job->rests_until->format('Y-m-d H:i') }}. The next entry wakes it.</p>
@endif
@if ($page->job->circuit->wasRevised())
    <p class="ahead mt-3 flex flex-wrap items-center gap-2.5 bg-sunk px-3.5 py-2.5">@icon('triangle-alert')The circuit was changed since this was planned. <a href="/jobs/{{ $page->job->id }}/manage">Look</a></p>
@endif
