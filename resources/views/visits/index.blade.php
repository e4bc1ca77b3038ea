<x-layout title="My day" about="shop">
    <div id="my-day" data-live>
    <x-head>
        <h1>My day</h1>
        <p>{{ $due->count() === 0 ? 'No visit is due.' : ($due->overdue() === 0 ? 'Nothing is overdue.' : "{$due->overdue()} overdue.") }}</p>
    </x-head>
    @if ($due->isEmpty())
        <x-empty><h2>No visit is booked</h2><p>Days after a signature are booked at the end of a job, or by whoever asks for
            one under its record.</p></x-empty>
    @endif
    @foreach ([['Mine, and anybody’s', $due->mine], ['In other hands', $due->others], ['In the shop now: looked at with the job in hand', $due->inTheShop]] as [$name, $visits])
        @continue ($visits->isEmpty())
        <section class="mb-4 bg-panel p-5">
            <h2>{{ $name }}</h2>
            <ul class="grid gap-2">@include('visits.due', ['visits' => $visits])</ul>
        </section>
    @endforeach
    </div>
</x-layout>
