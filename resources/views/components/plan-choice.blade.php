@props(['name', 'label', 'choices', 'current'])
<div class="field"><fieldset><legend>{{ $label }}</legend><div class="choices">@foreach ($choices as $value => $text)<label class="choice"><input type="radio" name="{{ $name }}" value="{{ $value }}" @checked(old($name, $current) === $value)><span>{{ $text }}</span></label>@endforeach</div></fieldset></div>
