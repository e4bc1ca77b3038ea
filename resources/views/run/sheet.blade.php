{{-- The steps of a stage that are done together: seen one by one, said in one press. --}}
<header class="step-head">
    <p class="step-stage font-gauge text-[1rem]/[normal] font-semibold text-quiet short:hidden">{{ $page->step->stage->label() }}</p>
    <h1 id="step-title" tabindex="-1">{{ $page->sheet->title() }}</h1>
</header>
@error ('finish')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
@include('run.cautions')
@include('run.scale')
@php $answered = $page->sheet->answered(); @endphp
<form method="post" action="/jobs/{{ $page->job->id }}/sheet" class="one-go mt-2" data-send>
    @include('run.sent', ['step' => $page->step->id, 'stay' => false])
    @include('run.read')
    <input type="hidden" name="upto" value="" data-upto>
    @foreach ($page->sheet->blocks as $block)
        <section class="sheet-block grid gap-1.5 border-t border-rule pt-1 pb-2.5"
            @if ($block->branch()) data-branch="{{ $block->branch()->goesOnWith }}" data-block="{{ $block->step->id }}" @endif aria-labelledby="sheet-{{ $loop->index }}">
            <header class="flex flex-wrap items-center gap-x-4">
                <h2 class="mr-auto text-[1.25rem]" id="sheet-{{ $loop->index }}">{{ $block->title }}
                    @if ($block->level?->datum() !== null)<small class="sheet-datum block font-sans leading-[normal] font-medium text-level">{{ $block->level->figure->datumLabel }} <b>{{ $block->level->datum() }}</b></small>@endif</h2>
                <x-more says="How" class="open:order-3 open:basis-full">
                    <ol class="instructions danger:hidden my-3.5 grid max-w-[64ch] list-decimal gap-1.5 pl-[1.5em] text-[1.125rem] marker:font-gauge marker:font-semibold marker:text-coolant-deep">@foreach ($block->instructions as $instruction)<li>{{ $instruction }}</li>@endforeach</ol>
                </x-more>
                <a class="grid min-h-11 min-w-11 items-center text-[1rem] text-quiet" href="{{ $block->href }}">On its own page</a>
            </header>
            <input type="hidden" name="sheet[{{ $block->step->id }}][]" value="">
            @foreach ($block->tables as $table)<x-numbers :table="$table"/>@endforeach
            @if ($block->form->fields === [])
                <p class="flex items-start gap-2 [&>svg]:mt-px [&>svg]:text-quiet">@icon('circle-check'){{ $block->form->button }}</p>@endif
            @if ($block->items() !== [])
                <ul class="columns-[2_200px] gap-[18px] leading-[1.3]">
                    @foreach ($block->items() as $field)
                        <li class="flex break-inside-avoid items-start gap-2 py-0.5 [&>svg]:mt-px [&>svg]:text-quiet">@icon('square'){{ $field->label }}
                            <input type="hidden" name="sheet[{{ $block->step->id }}][{{ $field->name }}]" value="1"></li>
                    @endforeach
                </ul>
            @endif
            @php $asked = array_filter($block->asked(), fn ($field) => ! ($field->answers && $block === $answered)); @endphp
            @if ($asked !== [])<div class="fields">@foreach ($asked as $field)@include('run.sheet-field')@endforeach</div>@endif
            @if ($block->further() !== [])
                <x-more says="More, if known" :open="$errors->hasAny($block->names())">
                    <div class="fields">@foreach ($block->further() as $field)@include('run.sheet-field')@endforeach</div>
                </x-more>
            @endif
            @if ($block->others !== [])@include('run.otherwise')@endif
            @error ("sheet.{$block->step->id}.stops")
                <div class="sheet-stops" role="alert">
                    <p class="error error-block">@icon('triangle-alert'){{ $message }} Nothing is recorded yet.</p>
                    <button class="button" name="upto" value="{{ $block->step->id }}">Record it up to here</button>
                </div>
            @enderror
        </section>
    @endforeach
    @if ($answered !== null)
        <div class="border-t-3 border-dashed border-level py-2.5">
            <p>All of it is done, and:</p>
            @include('run.answers', ['answer' => $answered->answer(), 'group' => "sheet[{$answered->step->id}]", 'path' => "sheet.{$answered->step->id}"])
        </div>
    @else
        <p class="border-t-3 border-dashed border-level py-2.5">
            <button class="button button-wide button-go" data-key="e" data-key-label="All of it is done">All of it is done</button>
        </p>
    @endif
</form>
@include('run.evidence')
@include('run.photos')
