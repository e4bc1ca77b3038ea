@if ($sure->rows() !== [] || ! $sure->orderIsSure() || $sure->toMeasure() !== [])
    <section class="plan-sure" aria-labelledby="sure-title">
        <h2 id="sure-title">How sure <small>nineteen times of twenty, as well as heights and volumes are known</small></h2>
        <dl class="facts">
            @foreach ($sure->rows() as [$name, $fromTo])
                <div><dt>{{ $name }}</dt><dd>{{ $fromTo }}</dd></div>
            @endforeach
        </dl>
        @unless ($sure->orderIsSure())
            <p class="help">Which bleed point runs first is not sure here. Watch each, and close the one that runs.</p>
        @endunless
        @foreach ($sure->toMeasure() as $one)
            <form class="measure" method="post" action="/circuits/{{ $vehicle->circuit_id }}/measured">
                @csrf
                <input type="hidden" name="{{ $one->name() }}" value="{{ $one->node ?? $one->passage }}">
                <input type="hidden" name="vehicle" value="{{ $vehicle->id }}">
                <input type="hidden" name="job" value="{{ $job ?? '' }}">
                <p><b>{{ $one->why }}</b> {{ $one->what }} {{ $one->gain }}</p>
                @if ($mayMeasure)
                    <x-input name="measured" label="Measured, {{ $one->unit }}" inputmode="decimal" required/>
                    <button class="button button-quiet">Put it into the circuit</button>
                @else
                    <p class="help">Whoever keeps the circuits here puts it in.</p>
                @endif
            </form>
        @endforeach
    </section>
@endif
