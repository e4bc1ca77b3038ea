<x-layout :title="'Edit '.($document['name'] ?? 'circuit')" wide>
    <x-head>
        <h1>{{ $model ? 'Edit circuit' : 'New circuit' }}</h1>
        <p>
            @if ($model)Saving makes revision {{ $model->revision + 1 }}; jobs keep the one they were planned with.
            @else Tape-measured heights from the floor, lengths from the front axle, forward positive.@endif
        </p>
    </x-head>
    @if ($errors->any())
        <p class="error error-block" role="alert">
            @icon('triangle-alert')<span><b>{{ array_key_first($errors->messages()) }}</b>: {{ $errors->first() }}</span>
        </p>
    @endif
    <div class="grid grid-cols-2 items-start gap-5 max-[900px]:grid-cols-1" data-editor>
        <form method="post" action="/circuits{{ $model ? "/{$model->id}" : '' }}" class="grid gap-3 border-t-[5px] border-coolant bg-panel p-4 [&_[data-rows]]:grid [&_[data-rows]]:gap-2.5 [&_label]:grid [&_label]:gap-0.5 [&_label]:text-[0.9375rem] [&_label]:font-semibold [&_input:not([type=checkbox])]:min-h-11 [&_input:not([type=checkbox])]:w-full [&_input:not([type=checkbox])]:min-w-0 [&_input:not([type=checkbox])]:rounded [&_input:not([type=checkbox])]:border [&_input:not([type=checkbox])]:border-quiet [&_input:not([type=checkbox])]:bg-panel [&_input:not([type=checkbox])]:px-2 [&_input:not([type=checkbox])]:text-ink [&_select]:min-h-11 [&_select]:w-full [&_select]:min-w-0 [&_select]:rounded [&_select]:border [&_select]:border-quiet [&_select]:bg-panel [&_select]:px-2 [&_select]:text-ink [&_input[type=checkbox]]:size-7" data-once>
            @csrf
            <noscript><p class="help">Without scripts the circuit is edited as its file, below: every fact by its name, as the
                <a href="/formats/aqbel-circuit-1.schema.json">format</a> has it. Saving checks it, and says what is wrong and
                where.</p></noscript>
            <textarea name="document" class="hidden noscript:block noscript:min-h-[60vh] noscript:w-full noscript:border noscript:border-rule noscript:p-3" aria-hidden="true"
                data-vocabulary="{{ json_encode($vocabulary) }}">{{ json_encode($document, 256 | 1024) }}</textarea>
            <p class="error error-block" data-problem role="alert" hidden></p>
            <div data-rows></div>
            <button class="button button-go button-wide">Save</button>
        </form>
        <div class="editor-view sticky top-3 grid gap-3 max-[900px]:static max-[900px]:-order-1 [&_section]:bg-panel [&_section]:px-4 [&_section]:py-3" data-preview aria-live="polite">@include('circuits.preview')</div>
    </div>
</x-layout>
