<x-layout :title="$vehicle->exists ? $vehicle->plate : 'Add a vehicle'">
    <form method="post" action="/vehicles{{ $vehicle->exists ? '/'.$vehicle->id : '' }}" class="sheet" data-once>
        @csrf
        <h1>{{ $vehicle->exists ? "Change {$vehicle->plate}" : 'Add a vehicle' }}</h1>
        <x-input name="plate" label="Plate, or the number the shop calls it by" :value="$vehicle->plate"/>
        <x-input name="name" label="What it is" :value="$vehicle->name"/>
        <div @class(['field', 'has-error' => $errors->has('circuit')])>
            <label for="circuit">Circuit</label>
            <input id="circuit" name="circuit" type="text" list="circuits"
                value="{{ $typed('circuit', is_string(request()->query('circuit')) ? request()->query('circuit') : $circuit) }}" autocomplete="off"
                placeholder="Any part of its name">
            <datalist id="circuits">@foreach (array_keys($circuits) as $name)<option value="{{ $name }}"></option>@endforeach</datalist>
            @error ('circuit')<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror
            <p class="help">None fits? <a href="/circuits/make?for=vehicle">Make a circuit</a>: a layout, the manual, a tape, five
                minutes.</p>
        </div>
        <div class="fields">
            @foreach ($fields as $field)
                @include('layouts.field', ['prefix' => 'vehicle-', 'value' => $shown[$field->name]])
            @endforeach
        </div>
        <x-input name="notes" label="Notes for whoever works on it, if any" :value="$vehicle->notes"/>
        <button class="button button-go button-wide" data-key="e" data-key-label="Keep">{{ $vehicle->exists ? 'Keep' : 'Add it' }}</button>
    </form>
</x-layout>
