{{-- What a press answers: one button an answer, and none of them proposed. --}}
@php $wrong = $errors->first(ltrim("{$path}.{$answer->name}", '.')); @endphp
<fieldset class="answers mt-2 flex flex-wrap gap-2" tabindex="-1">
    <legend class="pb-1.5 font-semibold">{{ $answer->label }}</legend>
    {{-- What Enter in a field would press: nothing. An answer is pressed itself. --}}
    <button disabled hidden></button>
    @foreach ($answer->choices as $value => $label)
        <button class="button min-h-14 flex-[1_1_8rem] border-2 border-ink text-[1.125rem]" name="{{ $group }}[{{ $answer->name }}]"
            value="{{ $value }}" @if (count($answer->choices) === 1 && ($key ?? '') !== '')data-key="{{ $key }}" data-key-label="{{ $label }}"@endif>{{ $label }}</button>
    @endforeach
    @if ($wrong)<p class="error">@icon('triangle-alert'){{ $wrong }}</p>@endif
</fieldset>
