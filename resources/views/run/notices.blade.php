@if ($page->job->rests_until?->isFuture())
    <p class="ahead">@icon('hourglass')Rests until {{ $page->job->rests_until->format('Y-m-d H:i') }}. The next entry wakes it.</p>
@endif
@if ($page->newerRevision())
    <p class="ahead">@icon('triangle-alert')The circuit was changed since this was planned. <a href="/jobs/{{ $page->job->id }}/manage">Look</a></p>
@endif
