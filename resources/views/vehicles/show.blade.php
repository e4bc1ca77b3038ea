<x-layout :title="$page->vehicle->plate">
    <x-head>
        <span class="plate">{{ $page->vehicle->plate }}</span>
        <h1>{{ $page->vehicle->name }}</h1>
        <p><a href="/circuits/{{ $page->vehicle->circuit_id }}">{{ $page->vehicle->circuit->name }}</a></p>
        <div class="ml-auto flex flex-wrap gap-2">
            <a class="button" href="/vehicles/{{ $page->vehicle->id }}/edit">Change</a>
            <a class="button" href="/circuits/{{ $page->vehicle->circuit_id }}/add?vehicle={{ $page->vehicle->id }}">A point or a routine is missing</a>
            @if ($page->open)
                <a class="button button-go" href="/jobs/{{ $page->open->id }}">Go on with {{ $page->open->number() }}</a>
            @elseif ($page->vehicle->retired_at === null)
                <a class="button button-go" href="/jobs/new?vehicle={{ $page->vehicle->id }}">@icon('plus')Plan a job</a>
            @endif
        </div>
    </x-head>
    @error ('retire')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    @if ($page->vehicle->retired_at)<p class="help">Retired on {{ $page->vehicle->retired_at->format('Y-m-d') }}.</p>@endif
    <div class="mb-5 grid items-start gap-5 min-[821px]:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <x-panel>
            <h2>In it now</h2>
            @if ($page->content === [])<p>Nobody has signed a job on it yet.</p>@endif
            <dl class="grid grid-cols-[1fr_auto] gap-x-4 gap-y-2">@foreach ($page->content as [$what, $value])<dt>{{ $what }}</dt>
                <dd class="font-semibold">{{ $value }}</dd>@endforeach</dl>
            <h2>Next change of the coolant</h2>
            @if ($page->due->changed === null)
                <p>No change is on record here.</p>
            @else
                <x-state :tone="$page->due->used?->overdue() ? 'stop' : ($page->due->used?->due() ? 'wait' : 'pass')"
                    :icon="$page->due->used?->due() ? 'triangle-alert' : 'circle-check'">{{ implode(' or ', $page->due->marks($page->units)) }}</x-state>
                @if ($page->due->used)<p class="help">
                    {{ round(100 * $page->due->used->share) }} % used up, by {{ $page->due->used->by->label() }}.</p>@endif
            @endif
            <p class="help">{{ $page->due->own ? 'Its own interval' : 'The shop’s interval' }}: {{ $page->due->rule($page->units) }},
                whichever comes first.
                @if ($page->vehicle->read_on) Read on {{ $page->vehicle->read_on->format('Y-m-d') }}:
                    {{ implode(', ', $page->run()) }}.@endif</p>
            @if ($page->vehicle->notes !== '')<h2>Notes</h2><p>{{ $page->vehicle->notes }}</p>@endif
            @if ($page->visits->isNotEmpty())<h2>Visits due</h2>
                <ul class="grid gap-1">@include('visits.due', ['visits' => $page->visits])</ul>@endif
            @if ($page->watch !== [])<h2>To watch</h2><ul>@foreach ($page->watch as $one)<li>{{ $one }}</li>@endforeach</ul>@endif
        </x-panel>
        <x-panel>
            <h2>Jobs</h2>
            @if ($page->jobs->isEmpty())<p>None yet.</p>@endif
            <ul class="grid gap-3">
                @foreach ($page->jobs as $job)
                    <li class="flex flex-wrap gap-x-3.5 gap-y-1">
                        <a href="/jobs/{{ $job->id }}{{ $job->stands() ? '/record' : '' }}">{{ $job->number() }}</a>
                        <span>{{ $job->kind->label() }}, planned by {{ $job->planner->name }}</span>
                        <small class="ml-auto">{{ $job->abandoned_at ? 'given up '.$job->abandoned_at->format('Y-m-d')
                            : ($job->signed_at ? 'signed '.$job->signed_at->format('Y-m-d') : 'open since
                                '.$job->created_at->format('Y-m-d')) }}@if ($job->followed_at)
                            · <a href="/jobs/{{ $job->id }}/visits">{{ $job->life()->label() }}{{ $job->closed_at ? ' '.$job->closed_at->format('Y-m-d') : '' }}</a>@endif</small>
                    </li>
                @endforeach
            </ul>
        </x-panel>
        @if ($page->photos->isNotEmpty())
            <x-panel class="col-span-full">
                <h2>Photographs</h2>
                @foreach ($page->photos as $photo)
                    <a href="/photos/{{ $photo->id }}"><img class="h-30" src="/photos/{{ $photo->id }}/small"
                        alt="Photograph {{ $loop->iteration }}"
                        loading="lazy"></a>
                @endforeach
            </x-panel>
        @endif
    </div>
    @if ($mayRetire)
        <form method="post" action="/vehicles/{{ $page->vehicle->id }}/retire">
            @csrf
            <button class="button button-quiet">{{ $page->vehicle->retired_at ? 'Back in use' : 'Retire this vehicle' }}</button>
        </form>
    @endif
</x-layout>
