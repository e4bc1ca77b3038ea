<form method="post" action="/stores/{{ $to }}" class="sheet" data-once>
    @csrf
    <input type="hidden" name="form" value="{{ $form->name }}">
    <div class="fields">
        @foreach ($form->fields as $field)
            <x-field :field="$field" :units="$page->units" :prefix="$prefix"/>
        @endforeach
    </div>
    <button class="button button-wide">{{ $form->button }}</button>
</form>
