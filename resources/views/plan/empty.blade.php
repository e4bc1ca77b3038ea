<x-layout title="Plan">
    <section class="empty">
        <h1>No vehicle yet</h1>
        <p>A job is planned for a vehicle, and a vehicle has a circuit: one of the library, or a copy of it that was made to fit.</p>
        <p><a class="button button-go" href="/vehicles/new">@icon('plus')Add the first vehicle</a></p>
    </section>
</x-layout>
