@props(['choice', 'plain' => false])
<div class="field">
    <fieldset>
        <legend @class(['sr-only' => $plain])>{{ $choice->label }}</legend>
        <div class="choices">
            @foreach ($choice->answers as $value => $text)
                <label class="choice">
                    <input type="radio" name="{{ $choice->name }}" value="{{ $value }}" @checked(old($choice->name, $choice->current) === $value)>
                    <span>{{ $text }}</span>
                </label>
            @endforeach
        </div>
    </fieldset>
</div>
