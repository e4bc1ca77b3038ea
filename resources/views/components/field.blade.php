@props(['field', 'units', 'value' => null, 'prefix' => ''])
@php
    $id = $prefix.'f-'.$field->name;
    $old = old("fields.{$field->name}");
    $current = is_scalar($old) ? (string) $old : ($value ?? $field->defaultText($units));
    $error = $errors->first($field->name);
    $describe = trim(($error ? "{$id}-error " : '').($field->help !== '' ? "{$id}-help" : ''));
@endphp
<div @class(['field', 'field-'.$field->type, 'has-error' => $error])>
    @switch ($field->type)
        @case ('choice')
            <fieldset @if ($describe) aria-describedby="{{ $describe }}" @endif>
                <legend>{{ $field->label }}</legend>
                <div class="choices">
                    @foreach ($field->choices as $choice => $label)
                        <label class="choice"><input type="radio" name="fields[{{ $field->name }}]" value="{{ $choice }}" @checked($current === (string) $choice)><span>{{ $label }}</span></label>
                    @endforeach
                </div>
            </fieldset>
            @break
        @case ('check')
            <label class="tick"><input type="checkbox" name="fields[{{ $field->name }}]" value="1" @checked($current === '1')><span>{{ $field->label }}</span></label>
            @break
        @case ('text')
            <label for="{{ $id }}">{{ $field->label }}</label>
            <input id="{{ $id }}" type="text" name="fields[{{ $field->name }}]" value="{{ $current }}" maxlength="500" autocomplete="off" @if ($describe) aria-describedby="{{ $describe }}" @endif @if ($error) aria-invalid="true" @endif>
            @break
        @default
            <label for="{{ $id }}">{{ $field->label }}@unless ($field->required) <small>if known</small>@endunless</label>
            <div class="stepper">
                <button type="button" data-step="-1" aria-label="Less: {{ $field->label }}" tabindex="-1">−</button>
                <input id="{{ $id }}" type="text" inputmode="decimal" name="fields[{{ $field->name }}]" value="{{ $current }}" autocomplete="off" @if ($describe) aria-describedby="{{ $describe }}" @endif @if ($error) aria-invalid="true" @endif>
                <span class="unit">{{ $field->assumedUnit($units)->value }}</span>
                <button type="button" data-step="1" aria-label="More: {{ $field->label }}" tabindex="-1">+</button>
            </div>
    @endswitch
    @if ($field->help !== '')<p class="help" id="{{ $id }}-help">{{ $field->help }}</p>@endif
    @if ($error)<p class="error" id="{{ $id }}-error">@icon('triangle-alert'){{ $error }}</p>@endif
</div>
