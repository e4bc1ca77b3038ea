{{-- What a press answers: one button an answer, and none of them proposed. --}}
@php $wrong = $errors->first(ltrim("{$path}.{$answer->name}", '.')); @endphp
<fieldset class="answers" tabindex="-1">
    <legend>{{ $answer->label }}</legend>
    {{-- What Enter in a field would press: nothing. An answer is pressed itself. --}}
    <button disabled hidden></button>
    @foreach ($answer->choices as $value => $label)
        <button class="button button-quiet" name="{{ $group }}[{{ $answer->name }}]" value="{{ $value }}">{{ $label }}</button>
    @endforeach
    @if ($wrong)<p class="error">@icon('triangle-alert'){{ $wrong }}</p>@endif
</fieldset>
