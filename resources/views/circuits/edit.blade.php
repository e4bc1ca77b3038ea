<x-layout :title="'Edit '.($document['name'] ?? 'circuit')" wide>
    <header class="page-head">
        <h1>{{ $model ? 'Edit circuit' : 'New circuit' }}</h1>
        <p>
            @if ($model)Saving makes revision {{ $model->revision + 1 }}; jobs keep the one they were planned with.
            @else Tape-measured heights from the floor, lengths from the front axle, forward positive.@endif
        </p>
    </header>
    @if ($errors->any())
        <p class="error error-block" role="alert">
            @icon('triangle-alert')<span><b>{{ array_key_first($errors->messages()) }}</b>: {{ $errors->first() }}</span>
        </p>
    @endif
    <div class="editor" data-editor>
        <form method="post" action="/circuits{{ $model ? "/{$model->id}" : '' }}" class="editor-form" data-once>
            @csrf
            <textarea name="document" hidden aria-hidden="true"
                data-vocabulary="{{ json_encode($vocabulary) }}">{{ json_encode($document, 256 | 1024) }}</textarea>
            <noscript><p class="help">Without scripts the circuit is edited as its file, below: every fact by its name, as the
                <a href="/formats/aqbel-circuit-1.schema.json">format</a> has it. Saving checks it, and says what is wrong and
                where.</p></noscript>
            <p class="error error-block" data-problem role="alert" hidden></p>
            <div data-rows></div>
            <button class="button button-go button-wide">Save</button>
        </form>
        <div class="editor-view" data-preview aria-live="polite">@include('circuits.preview')</div>
    </div>
</x-layout>
