<x-layout title="Plan">
    <section class="empty">
        <h1>No vehicle yet</h1>
        <p>A job is planned for a vehicle, and a vehicle has a circuit. Circuits come in as aqbel-circuit/1 files.</p>
    </section>
</x-layout>
