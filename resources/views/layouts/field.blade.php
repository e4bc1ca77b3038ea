@php [$group, $path] = [$group ?? 'fields', $path ?? '']; @endphp
@php [$id, $old] = [$prefix.'f-'.$field->name, old(($path === '' ? 'fields' : $path).".{$field->name}")]; @endphp
@php [$error, $name] = [$errors->first(ltrim("{$path}.{$field->name}", '.')), ($bare ?? false) ? $field->name : "{$group}[{$field->name}]"]; @endphp
@php $current = is_scalar($old) ? (string) $old : ($value ?? $field->defaultText($units)); @endphp
@php $describe = trim(($error ? "{$id}-error " : '').($field->help !== '' ? "{$id}-help" : '')); @endphp
<div @class(['field', 'field-'.$field->type->value, 'has-error' => $error])>
    @include("components.field-{$field->type->value}")
    @if ($field->help !== '')<p class="help" id="{{ $id }}-help">{{ $field->help }}</p>@endif
    @if ($error)<p class="error" id="{{ $id }}-error">@icon('triangle-alert'){{ $error }}</p>@endif
</div>
