<label for="{{ $id }}">{{ $field->label }}@unless ($field->required || $field->usual) <small>if known</small>@endunless</label>
<div class="stepper">
    <button type="button" data-step="-1" aria-label="Less: {{ $field->label }}" tabindex="-1">−</button>
    <input id="{{ $id }}" type="text" inputmode="decimal" name="{{ $name }}" value="{{ $current }}" autocomplete="off"
        @if ($describe) aria-describedby="{{ $describe }}" @endif @if ($error) aria-invalid="true" @endif>
    <span class="unit">{{ $field->assumedUnit($units)->value }}</span>
    <button type="button" data-step="1" aria-label="More: {{ $field->label }}" tabindex="-1">+</button>
</div>
