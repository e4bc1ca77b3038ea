<x-layout :title="'How sure, '.$job->number()">
    <x-head>
        <h1>How sure it is</h1>
        <p>{{ $job->vehicle->plate }} · <a href="/jobs/{{ $job->id }}" data-key="b"
            data-key-label="Back to the step">Back to the step</a></p>
    </x-head>
    <div class="grid bg-panel py-2">
        @if ($sure->rows() === [] && $sure->orderIsSure() && $sure->toMeasure() === [])
            <p class="px-5 py-4">All volumes of this job are known within a tenth of them, and so is the order of its bleed points.</p>
        @endif
        @include('plan.freeing')
        @include('plan.ranges', ['job' => $job->id])
        <p class="help px-5 pb-4">This job keeps the circuit it was planned on; what is measured counts from the next one, or when it is
            planned anew.</p>
    </div>
</x-layout>
