<form method="post" action="/jobs/{{ $page->job->id }}/entries" data-send
    @class([
        'entry my-3 in-[.dock]:m-0 [&_details[open]]:border [&_details[open]]:border-rule [&_details[open]]:p-3 [&_details[open]>summary]:mb-3',
        'entry-main' => $shown->form->main && $shown->open,
        'border-t border-rule pt-3.5 in-[.dock]:col-span-full in-[.dock]:border-0 in-[.dock]:p-0'
            => $shown->form->main && $shown->open && ! $shown->bare(),
    ])>
    @include('run.sent', ['step' => $page->step->id, 'stay' => true])
    @include('run.read')
    <input type="hidden" name="form" value="{{ $shown->form->name }}">
    @if ($shown->bare())
        @if ($shown->done)<input type="hidden" name="done" value="1">@endif
        <button @class(['button', 'button-wide', 'button-go' => $shown->first, 'button-quiet' => ! $shown->docked()])
            data-key="{{ $shown->key }}" data-key-label="{{ $shown->form->button }}">{{ $shown->form->button }}</button>
    @elseif ($shown->open)
        @if ($shown->form->note !== '')<p class="help">{{ $shown->form->note }}</p>@endif
        <div class="fields">
            @foreach ($shown->fields() as $field)
                @include('layouts.field', ['units' => $page->units, 'value' => null, 'prefix' => $shown->form->name.'-', 'fold' => $shown->folds($field)])
            @endforeach
        </div>
        @if ($shown->form->answer() !== null)
            @if ($shown->done)<input type="hidden" name="done" value="1">@endif
            @include('run.answers', ['answer' => $shown->form->answer(), 'group' => 'fields', 'path' => '', 'key' => $shown->key])
        @elseif ($shown->offersBoth())
            <button class="button button-wide button-go" name="done" value="1"
                data-key="{{ $shown->key }}" data-key-label="{{ $shown->form->button }}" data-key-focus>{{ $shown->form->button }}, and done</button>
            <button class="button button-wide button-quiet">{{ $shown->form->button }}</button>
        @else
            @if ($shown->done)<input type="hidden" name="done" value="1">@endif
            <div @class(['grid grid-cols-[repeat(auto-fit,minmax(170px,1fr))] gap-2 [&_.button+.button]:mt-0!' => $shown->form->also !== null])>
                <button @class(['button', 'button-wide', 'button-go' => $shown->first])
                    data-key="{{ $shown->key }}" data-key-label="{{ $shown->form->button }}" data-key-focus>{{ $shown->form->button }}</button>
                @if ($shown->form->also !== null)
                    <button class="button button-wide button-quiet" name="also"
                        value="{{ $shown->form->also->name }}">Record; {{ lcfirst($shown->form->also->button) }}</button>
                @endif
            </div>
        @endif
    @else
        <details>
            <summary class="button button-quiet button-wide" data-key="{{ $shown->key }}" data-key-label="{{ $shown->form->button }}">
                {{ $shown->form->button }}…
            </summary>
            @if ($shown->form->note !== '')<p class="help">{{ $shown->form->note }}</p>@endif
            <div class="fields">
                @foreach ($shown->fields() as $field)
                    @include('layouts.field', ['units' => $page->units, 'value' => null, 'prefix' => $shown->form->name.'-', 'fold' => $shown->folds($field)])
                @endforeach
            </div>
            @if ($shown->done)<input type="hidden" name="done" value="1">@endif
            @if ($shown->form->answer() !== null)
                @include('run.answers', ['answer' => $shown->form->answer(), 'group' => 'fields', 'path' => ''])
            @else
                <button class="button button-wide">{{ $shown->form->button }}</button>
            @endif
        </details>
    @endif
</form>
