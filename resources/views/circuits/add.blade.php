<x-layout :title="'Add to '.$core->name">
    <x-head>
        <h1>What is missing</h1>
        <p><a href="/circuits/{{ $model->id }}">{{ $core->name }}</a>{{ $vehicle ? ", {$vehicle->plate}" : '' }} · it is there at once, and a lead looks at it.</p>
    </x-head>
    @if ($errors->any())<p class="error error-block" role="alert">@icon('triangle-alert'){{ $errors->first() }}</p>@endif
    <div class="grid items-start gap-4 lg:grid-cols-2">
        <section class="bg-panel p-5" aria-labelledby="routine-title">
            <h2 id="routine-title">Its own routine of filling and bleeding</h2>
            <p>One step a line, in the order of the manual or as this shop does it; minutes stand last. Press a part, and it takes the place
                of what is done here
                usually; what you write beside is gone through line by line, with its time.</p>
            <div class="my-3 flex flex-wrap gap-2">
                <button type="button" class="button button-quiet" data-adds="fill: to the mark">Fill to the level</button>
                @foreach ($core->portsOf(\Aqbel\Core\Circuit\PortKind::Bleed) as $port)<button type="button" class="button button-quiet"
                    data-adds="bleed {{ $port->label }}: until it runs, then close it">Bleed: {{ $port->label }}</button>@endforeach
                <button type="button" class="button button-quiet" data-adds="run: idle until the fan has turned">Run the engine</button>
                <button type="button" class="button button-quiet" data-adds="cool: to the hand">Cool down</button>
                <button type="button" class="button button-quiet" data-adds="level: to the mark">Read the level</button>
                <button type="button" class="button button-quiet" data-adds="Wait 5 min">Wait</button>
            </div>
            <p class="help">The engine is started by its own step, with all that stands before a start: that part cannot be gone round.</p>
            <form method="post" action="/circuits/{{ $model->id }}/add" class="grid gap-3" data-once>
                @csrf
                <input type="hidden" name="what" value="routine">
                <input type="hidden" name="vehicle" value="{{ $vehicle?->id }}">
                <label for="routine" class="font-semibold">The routine</label>
                <textarea id="routine" name="routine" rows="9" class="w-full border border-rule bg-panel p-3"
                    @error ('routine') aria-invalid="true" @enderror
                    placeholder="Heater on full&#10;fill: to the mark&#10;run: idle until the fan has turned&#10;cool: to the hand&#10;level: to the mark">{{ $typed('routine', implode("\n", $lines)) }}</textarea>
                <button class="button button-wide">Keep the routine</button>
            </form>
        </section>
        <div class="grid gap-4">
            <section class="bg-panel p-5" aria-labelledby="point-title">
                <h2 id="point-title">A point that is there</h2>
                <form method="post" action="/circuits/{{ $model->id }}/add" class="grid gap-3" data-once>
                    @csrf
                    <input type="hidden" name="what" value="point">
                    <input type="hidden" name="vehicle" value="{{ $vehicle?->id }}">
                    <fieldset><legend class="font-semibold">It</legend>
                        <div class="choices">
                            @foreach (['bleed' => 'Bleeds', 'drain' => 'Drains'] as $kind => $label)
                                <label class="choice"><input type="radio" name="kind" value="{{ $kind }}"
                                    @checked(old('kind', 'bleed') === $kind)><span>{{ $label }}</span></label>
                            @endforeach
                        </div>
                    </fieldset>
                    <x-input name="label" label="It is called" maxlength="80" required/>
                    <div class="field"><label for="node">It sits at</label>
                        <select id="node" name="node"
                            class="min-h-12 w-full border border-rule bg-panel px-3">@foreach ($places as $id => $label)
                                <option value="{{ $id }}" @selected(old('node') === (string) $id)>{{ $label }}</option>@endforeach</select></div>
                    <x-input name="tool" label="Tool" maxlength="80"/>
                    <button class="button button-wide">Add the point</button>
                </form>
            </section>
            <section class="bg-panel p-5" aria-labelledby="height-title">
                <h2 id="height-title">A height, with the tape</h2>
                <form method="post" action="/circuits/{{ $model->id }}/add" class="grid gap-3" data-once>
                    @csrf
                    <input type="hidden" name="what" value="height">
                    <input type="hidden" name="vehicle" value="{{ $vehicle?->id }}">
                    <div class="field"><label for="height-node">Of</label>
                        <select id="height-node" name="node"
                            class="min-h-12 w-full border border-rule bg-panel px-3">@foreach ($places as $id => $label)
                                <option value="{{ $id }}">{{ $label }}</option>@endforeach</select></div>
                    <x-input name="measured" label="Above the floor, {{ $unit }}" inputmode="decimal" required/>
                    <button class="button button-wide">Keep the height</button>
                </form>
            </section>
        </div>
    </div>
</x-layout>
