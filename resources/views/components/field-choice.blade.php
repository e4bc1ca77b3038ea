<fieldset @if ($describe) aria-describedby="{{ $describe }}" @endif>
    <legend>{{ $field->label }}</legend>
    <div class="choices">
        @foreach ($field->choices as $choice => $label)
            <label class="choice">
                <input type="radio" name="fields[{{ $field->name }}]" value="{{ $choice }}" @checked($current === (string) $choice)><span>{{ $label }}</span>
            </label>
        @endforeach
    </div>
</fieldset>
