@php $folded = ($fold ?? false) && ! $field->inSight && isset($field->choices[$current]) && ! $error; @endphp
@if ($folded)
    <details class="fold" data-fold>
        <summary><span>{{ $field->label }}</span> <b data-chosen>{{ $field->choices[$current] }}</b></summary>
@endif
<fieldset @class(['in-sight' => $field->inSight]) @if ($field->goesOnWith)
    data-branching @endif @if ($describe) aria-describedby="{{ $describe }}" @endif>
    <legend @class(['sr-only' => $folded])>{{ $field->label }}</legend>
    <div class="choices">
        @foreach ($field->choices as $choice => $label)
            <label class="choice">
                <input type="radio" name="{{ $name }}" value="{{ $choice }}"
                    @checked($current === (string) $choice)><span>{{ $label }}</span>
            </label>
        @endforeach
    </div>
</fieldset>
@if ($folded)</details>@endif
