<x-layout title="Plan">
    <x-empty>
        <h1>No vehicle yet</h1>
        <p>A job is planned for a vehicle, and a vehicle has a circuit: one of the library, or one made for it from a layout, the manual and
            a tape.</p>
        <p><a class="button button-go" href="/vehicles/new">@icon('plus')Add the first vehicle</a> <a class="button button-quiet"
            href="/circuits/make?for=vehicle">Make its circuit first</a></p>
    </x-empty>
</x-layout>
