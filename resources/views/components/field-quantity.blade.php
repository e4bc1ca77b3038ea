@php $mayBeLeft = ! $field->required && ! $field->usual; @endphp
<label for="{{ $id }}">{{ $field->label }}@if ($mayBeLeft) <small class="in-[.dock]:sr-only">if known</small>@endif</label>
<div class="stepper">
    <button type="button" data-step="-1" aria-label="Less: {{ $field->label }}" tabindex="-1">−</button>
    <input id="{{ $id }}" type="text" inputmode="decimal" name="{{ $name }}" value="{{ $current }}" autocomplete="off"
        @if ($mayBeLeft) placeholder="if known" class="placeholder:opacity-0 in-[.dock]:placeholder:text-sm in-[.dock]:placeholder:text-quiet in-[.dock]:placeholder:opacity-100" @endif
        @if ($describe) aria-describedby="{{ $describe }}" @endif @if ($error) aria-invalid="true" @endif>
    <span class="unit">{{ $field->assumedUnit($units)->value }}</span>
    <button type="button" data-step="1" aria-label="More: {{ $field->label }}" tabindex="-1">+</button>
</div>
