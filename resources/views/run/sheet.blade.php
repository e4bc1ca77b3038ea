{{-- The steps of a stage that are done together: seen one by one, said in one press. --}}
<header class="step-head">
    <p class="step-stage">{{ $page->step->stage->value }} · {{ $page->step->stage->label() }}</p>
    <h1 id="step-title">{{ $page->step->stage->label() }}, in one go</h1>
</header>
@error ('finish')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
@include('run.cautions')
<form method="post" action="/jobs/{{ $page->job->id }}/sheet" class="one-go" data-send>
    @include('run.sent', ['step' => $page->step->id, 'stay' => false])
    @foreach ($page->sheet as $block)
        <section class="sheet-block" aria-labelledby="sheet-{{ $loop->index }}">
            <h2 id="sheet-{{ $loop->index }}">{{ $block->title }} <a href="{{ $block->href }}">One by one</a></h2>
            <input type="hidden" name="sheet[{{ $block->step->id }}][]" value="">
            @if ($block->items() === [])
                <details class="sheet-how"><summary>How</summary>
                    <ol class="instructions">@foreach ($block->instructions as $instruction)<li>{{ $instruction }}</li>@endforeach</ol>
                </details>
            @endif
            @if ($block->form->fields === [])<p class="sheet-says">@icon('check'){{ $block->form->button }}</p>@endif
            @if ($block->items() !== [])
                <ul class="sheet-items">
                    @foreach ($block->items() as $field)
                        <li>@icon('square'){{ $field->label }}
                            <input type="hidden" name="sheet[{{ $block->step->id }}][{{ $field->name }}]" value="1"></li>
                    @endforeach
                </ul>
            @endif
            @foreach ($block->asked() as $field)@include('run.sheet-field')@endforeach
            @if ($block->further() !== [])
                <details class="sheet-how" @if ($errors->hasAny($block->names())) open @endif><summary>More, if known</summary>
                    <div class="fields">@foreach ($block->further() as $field)@include('run.sheet-field')@endforeach</div>
                </details>
            @endif
        </section>
    @endforeach
    <p class="sheet-go">
        <button class="button button-wide button-go" data-key="e" data-key-label="All of it is done">All of it is done</button>
    </p>
</form>
@include('run.evidence')
@include('run.photos')
