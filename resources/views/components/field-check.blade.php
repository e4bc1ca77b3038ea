<label class="tick">
    <input type="checkbox" name="fields[{{ $field->name }}]" value="1" @checked($current === '1')><span>{{ $field->label }}</span>
</label>
