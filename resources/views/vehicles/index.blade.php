<x-layout title="Vehicles">
    <x-head>
        <h1>Vehicles</h1>
        <form method="get" action="/vehicles" class="search">
            <label for="q" class="sr-only">Part of plate, name, circuit or notes</label>
            <input id="q" name="q" type="search" value="{{ $list->search }}" placeholder="Part of anything" autofocus
                data-key="/" data-key-label="Search">
            <button class="button button-quiet">Search</button>
        </form>
        <a class="button button-go" href="/vehicles/new" data-key="n" data-key-label="Add a vehicle">@icon('plus')Add a vehicle</a>
    </x-head>
    @if ($list->vehicles->isNotEmpty())
        <x-rows>
            @foreach ($list->vehicles as $vehicle)
                <x-row>
                    <a class="grid min-h-13 flex-[1_1_340px] grid-cols-[130px_1fr] items-center gap-4 text-inherit no-underline max-[820px]:grid-cols-[100px_1fr]" href="/vehicles/{{ $vehicle->id }}">
                        <span class="plate justify-self-start">{{ $vehicle->plate }}</span>
                        <span><b>{{ $vehicle->name }}</b><small class="block">{{ $vehicle->circuit->name }}</small></span>
                    </a>
                    @if ($vehicle->open)
                        <a class="button button-quiet" href="/jobs/{{ $vehicle->open->id }}">Go on with {{ $vehicle->open->number() }}</a>
                    @elseif ($vehicle->retired_at === null)
                        <small>{{ $vehicle->last_signed ? 'last '.substr($vehicle->last_signed, 0, 10) : 'no job yet' }}</small>
                        <a class="button button-quiet" href="/jobs/new?vehicle={{ $vehicle->id }}">Plan a job</a>
                    @else
                        <small>retired {{ $vehicle->retired_at->format('Y-m-d') }}</small>
                    @endif
                </x-row>
            @endforeach
        </x-rows>
        @if ($list->more > 0)<p class="help">{{ $list->more }} more. Type another word of plate, name or circuit.</p>@endif
    @elseif ($list->anyAtAll)
        <x-empty><h2>Nothing found</h2><p>Try fewer letters, or part of the circuit’s name.</p></x-empty>
    @else
        <x-empty><h2>No vehicle yet</h2><p>Add the first one: its plate, what it is, and which circuit it has.</p></x-empty>
    @endif
    <div class="mb-4 flex flex-wrap items-center gap-x-3.5 gap-y-2 bg-panel px-4 py-2.5">
        <a class="button button-quiet" href="/vehicles/vehicles.csv" download>Export as CSV</a>
        <form method="post" action="/vehicles/import" class="flex flex-wrap items-center gap-2" enctype="multipart/form-data">
            @csrf
            <label for="file">Bring in a CSV file</label>
            <input id="file" name="file" type="file" class="min-h-11 max-w-80 pt-2" accept=".csv,text/csv">
            <button class="button button-quiet">Look at it first</button>
        </form>
        @error ('file')<p class="error m-0 basis-full" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    </div>
    <p class="help">
        @if ($list->retired)<a href="/vehicles">Those in use</a>@else<a href="/vehicles?retired=1">Retired vehicles</a>@endif
    </p>
</x-layout>
