@props(['stepper'])
@php [$name, $old] = [$stepper->name, old($stepper->name)]; @endphp
<div @class(['field', 'has-error' => $errors->has($name)])>
    <label for="{{ $name }}">{{ $stepper->label }}</label>
    <div class="stepper">
        <button type="button" data-step="-1" aria-label="Less: {{ $stepper->label }}" tabindex="-1">−</button>
        <input id="{{ $name }}" name="{{ $name }}" type="text" inputmode="decimal" value="{{ is_string($old) ? $old : $stepper->value }}"
            autocomplete="off" @error($name) aria-invalid="true" aria-describedby="{{ $name }}-error" @enderror>
        <span class="unit">{{ $stepper->unit }}</span>
        <button type="button" data-step="1" aria-label="More: {{ $stepper->label }}" tabindex="-1">+</button>
    </div>
    @error($name)<p class="error" id="{{ $name }}-error">@icon('triangle-alert'){{ $message }}</p>@enderror
</div>
