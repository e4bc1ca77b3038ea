<x-layout title="Records">
    <header class="page-head"><h1>Records</h1>
        <form method="get" action="/records" class="search"><label for="q" class="sr-only">Plate or vehicle</label><input id="q" name="q" type="search" value="{{ $search }}" placeholder="Plate or vehicle" data-key="/" data-key-label="Search"><button class="button button-quiet">Search</button></form></header>
    @if ($jobs->isEmpty())
        <section class="empty"><h2>{{ $search === '' ? 'No job is signed off yet' : 'Nothing found' }}</h2><p>{{ $search === '' ? 'A job comes here when it is signed. Its sheet can be printed at any time from the run.' : 'Try part of the plate, or the vehicle’s name.' }}</p></section>
    @else
        <table class="list"><thead><tr><th scope="col">Job</th><th scope="col">Vehicle</th><th scope="col">Work</th><th scope="col">Signed</th><th scope="col">Planned by</th></tr></thead><tbody>
            @foreach ($jobs as $job)<tr><th scope="row"><a href="/jobs/{{ $job->id }}/record">{{ $job->number() }}</a></th><td><span class="plate">{{ $job->vehicle->plate }}</span> {{ $job->vehicle->name }}</td><td>{{ $job->reason }}</td><td>{{ $job->signed_at->format('Y-m-d H:i') }}</td><td>{{ $job->planner->name }}</td></tr>@endforeach
        </tbody></table>
    @endif
</x-layout>
