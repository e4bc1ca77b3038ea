{{-- A plain input with its label and its complaint, for the doors of the application. --}}
@props(['name', 'label', 'type' => 'text', 'autocomplete' => 'off', 'value' => ''])
<div class="field">
    <label for="{{ $name }}">{{ $label }}</label>
    <input id="{{ $name }}" name="{{ $name }}" type="{{ $type }}" value="{{ $type === 'text' ? $typed($name, $value) : '' }}"
        autocomplete="{{ $autocomplete }}" {{ $attributes }} @error($name) aria-invalid="true" aria-describedby="{{ $name }}-error" @enderror>
    @error($name)<p class="error" id="{{ $name }}-error">@icon('triangle-alert'){{ $message }}</p>@enderror
</div>
