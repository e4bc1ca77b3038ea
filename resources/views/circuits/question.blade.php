@php [$name, $dotted, $old] = ["answers[{$field->id}]", "answers.{$field->id}", old("answers.{$field->id}")]; @endphp
<div @class(['field', 'sm:col-span-2' => $field->kind->value === 'lines', 'has-error' => $errors->has($dotted)])
    @if ($field->of !== '') data-of="{{ $field->of }}" @endif>
    <label for="{{ $field->id }}">{{ $field->label }}</label>
    @if ($field->kind->value === 'choice')
        <select id="{{ $field->id }}" name="{{ $name }}">
            <option value="">Do not know</option>
            @foreach ($field->choices as $code => $label)<option value="{{ $code }}"
                @selected($old === $code)>{{ $label }}</option>@endforeach
        </select>
    @elseif ($field->kind->value === 'lines')
        <textarea id="{{ $field->id }}" name="{{ $name }}" rows="3">{{ is_string($old) ? $old : '' }}</textarea>
    @else
        <span class="flex items-center gap-2">
            <input id="{{ $field->id }}" name="{{ $name }}" type="text" value="{{ is_string($old) ? $old : '' }}" autocomplete="off"
                maxlength="120"
                @if ($field->unit !== '') inputmode="decimal" @endif @if ($field->node !== null) data-lights="{{ $field->node }}" @endif
                @if ($field->usual !== '') placeholder="usually {{ $field->usual }}" @endif
                @error($dotted) aria-invalid="true" aria-describedby="{{ $field->id }}-error" @enderror>
            @if ($field->unit !== '')<span class="text-quiet">{{ $field->unit }}</span>@endif
        </span>
    @endif
    @error($dotted)<p class="error" id="{{ $field->id }}-error">@icon('triangle-alert'){{ $message }}</p>@enderror
</div>
