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
</x-layout>
