<form method="post" action="/stores/{{ $to }}" class="sheet mt-2 max-w-none" data-once>
    @csrf
    <input type="hidden" name="form" value="{{ $form->name }}">
    <div class="fields">
        @foreach ($form->fields as $field)
            @include('layouts.field', ['field' => $field, 'units' => $page->units, 'value' => null, 'prefix' => $prefix])
        @endforeach
    </div>
    <button class="button button-wide">{{ $form->button }}</button>
</form>
