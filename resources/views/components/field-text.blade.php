<label for="{{ $id }}">{{ $field->label }}</label>
<input id="{{ $id }}" type="text" name="{{ $name }}" value="{{ $current }}" maxlength="500" autocomplete="off"
    @if ($describe) aria-describedby="{{ $describe }}" @endif @if ($error) aria-invalid="true" @endif>
