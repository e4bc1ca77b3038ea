<label class="tick">
    <input type="checkbox" name="{{ $name }}" value="1" @checked($current === '1')><span>{{ $field->label }}</span>
</label>
