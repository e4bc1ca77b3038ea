<x-layout title="Records">
    <header class="page-head">
        <h1>Records</h1>
        <form method="get" action="/records" class="search">
            <label for="q" class="sr-only">Plate or vehicle</label>
            <input id="q" name="q" type="search" value="{{ $search }}" placeholder="Plate or vehicle" data-key="/" data-key-label="Search">
            <button class="button button-quiet">Search</button>
        </form>
    </header>
    @if ($jobs->isNotEmpty())
        <table class="list">
            <thead><tr>
                <th scope="col">Job</th><th scope="col">Vehicle</th><th scope="col">Work</th><th scope="col">Signed</th><th scope="col">Planned by</th>
            </tr></thead>
            <tbody>
                @foreach ($jobs as $job)
                    <tr>
                        <th scope="row"><a href="/jobs/{{ $job->id }}/record">{{ $job->number() }}</a></th>
                        <td><span class="plate">{{ $job->vehicle->plate }}</span> {{ $job->vehicle->name }}</td>
                        <td>{{ $job->kind->label() }}</td>
                        <td>{{ $job->signed_at?->format('Y-m-d H:i') ?? 'given up '.$job->abandoned_at?->format('Y-m-d') }}</td>
                        <td>{{ $job->planner->name }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @elseif ($search === '')
        <section class="empty">
            <h2>No job is signed off yet</h2>
            <p>A job comes here when it is signed. Its sheet can be printed at any time from the run.</p>
        </section>
    @else
        <section class="empty"><h2>Nothing found</h2><p>Try part of the plate, or the vehicle’s name.</p></section>
    @endif
    <section class="mt-8 bg-panel p-5" aria-labelledby="leave-title">
        <h2 id="leave-title">As tables, and from elsewhere</h2>
        <p class="flex flex-wrap gap-2">
            @foreach (['jobs' => 'Jobs', 'visits' => 'Visits', 'stock' => 'Stock movements', 'waste' => 'Waste by month'] as $table => $name)
                <a class="button button-quiet" href="/records/{{ $table }}.csv">{{ $name }}</a>
            @endforeach
        </p>
        @if ($mayImport)
            <form method="post" action="/records/import" enctype="multipart/form-data" class="mt-4 flex flex-wrap items-end gap-2" data-once>
                @csrf
                <div class="field">
                    <label for="job-file">A job of another shop, written there under “Data”</label>
                    <input id="job-file" type="file" name="file" accept="application/json,.json">
                    @error ('file')<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror
                </div>
                <button class="button button-quiet">Bring it in</button>
            </form>
        @endif
    </section>
</x-layout>
