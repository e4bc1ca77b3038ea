@if ($sure->rows() !== [] || ! $sure->orderIsSure() || $sure->toMeasure() !== [])
    <section class="order-4 col-span-full bg-panel px-5 py-4" aria-labelledby="sure-title">
        <h2 class="mb-1" id="sure-title">How sure <small>nineteen times of twenty, as well as heights and volumes are known</small></h2>
        <dl class="facts grid grid-cols-[repeat(auto-fit,minmax(min(100%,320px),1fr))] gap-x-8 [&_dd]:whitespace-nowrap">
            @foreach ($sure->rows() as [$name, $fromTo])
                <div><dt>{{ $name }}</dt><dd>{{ $fromTo }}</dd></div>
            @endforeach
        </dl>
        @unless ($sure->orderIsSure())
            <p class="help">Which bleed point runs first is not sure here. Watch each, and close the one that runs.</p>
        @endunless
        @foreach ($sure->toMeasure() as $one)
            <form class="mt-3 flex flex-wrap items-end gap-3" method="post" action="/circuits/{{ $vehicle->circuit_id }}/measured">
                @csrf
                <input type="hidden" name="{{ $one->name() }}" value="{{ $one->id() }}">
                <input type="hidden" name="vehicle" value="{{ $vehicle->id }}">
                <input type="hidden" name="job" value="{{ $job ?? '' }}">
                <p class="basis-full"><b>{{ $one->why }}</b> {{ $one->what }} {{ $one->gain }}</p>
                @if ($mayMeasure && $one->gate !== null)
                    @foreach ($one::BY_LOOK as $answer => $words)<button class="button button-quiet" name="weeps"
                        value="{{ $answer }}">{{ $words }}</button>@endforeach
                @elseif ($mayMeasure)
                    <x-input name="measured" label="Measured, {{ $one->unit }}" inputmode="decimal" required/>
                    <button class="button button-quiet">Put it into the circuit</button>
                @else
                    <p class="help">Whoever keeps the circuits here puts it in.</p>
                @endif
            </form>
        @endforeach
    </section>
@endif
