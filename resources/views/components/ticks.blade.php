{{-- Things a plan may include, to be ticked. --}}
@props(['name', 'ticks'])
<div class="ticks">
    @foreach ($ticks as $tick)
        <label class="tick">
            <input type="checkbox" name="{{ $name }}[]" value="{{ $tick->value }}" @checked($tick->ticked)>
            <span>{{ $tick->label }}@if ($tick->about !== '') <small>{{ $tick->about }}</small>@endif</span>
        </label>
    @endforeach
</div>
