{{-- What a press answers: one button an answer, and none of them proposed. --}}
@php $wrong = $errors->first(ltrim("{$path}.{$answer->name}", '.')); @endphp
<fieldset class="answers">
    <legend>{{ $answer->label }}</legend>
    @foreach ($answer->choices as $value => $label)
        <button class="button button-quiet" name="{{ $group }}[{{ $answer->name }}]" value="{{ $value }}"
            @if ($loop->first && $key !== '') data-key="{{ $key }}" data-key-label="{{ $label }}" data-key-focus @endif>{{ $label }}</button>
    @endforeach
    @if ($wrong)<p class="error">@icon('triangle-alert'){{ $wrong }}</p>@endif
</fieldset>
