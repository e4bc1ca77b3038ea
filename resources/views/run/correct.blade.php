<x-layout title="Correct an entry">
    <section class="sheet">
        <p class="step-stage font-gauge text-[1rem]/[normal] font-semibold text-quiet short:hidden">{{ $page->job->vehicle->plate }} · {{ $page->title }}</p>
        <h1>Correct an entry</h1>
        <p class="why mt-1 max-w-[68ch] text-[1rem]/[1.4] text-quiet">
            The journal only grows: the entry of {{ date('H:i:s', $page->entry->at) }} by {{ $page->entry->person }} stays in it,
            and the correction counts from now on.
        </p>
        @error ('finish')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
        <form method="post" action="/jobs/{{ $page->job->id }}/entries/{{ $page->entry->seq }}" class="entry my-3 in-[.dock]:m-0 [&_details[open]]:border [&_details[open]]:border-rule [&_details[open]]:p-3 [&_details[open]>summary]:mb-3" data-once>
            @include('run.sent', ['step' => $page->entry->step, 'stay' => true])
            @if ($page->form->fields !== [])
                <div class="fields">
                    @foreach ($page->form->fields as $field)
                        @include('layouts.field', ['units' => $page->units, 'value' => $page->value($field), 'prefix' => ''])
                    @endforeach
                </div>
            @endif
            <div class="field field-text">
                <label for="why">Why <small>{{ $page->needsReason ? "needed: {$page->entry->person} wrote this line" : 'if it helps' }}</small></label>
                <input id="why" name="reason" type="text" maxlength="300" autocomplete="off" value="{{ $typed('reason') }}"
                    @error ('reason') aria-invalid="true" aria-describedby="why-error" @enderror>
                @error ('reason')<p class="error" id="why-error">@icon('triangle-alert'){{ $message }}</p>@enderror
            </div>
            @if ($page->form->fields !== [])
                <button class="button button-go button-wide" data-key="e" data-key-label="Keep the correction">Keep the correction</button>
            @endif
            <button class="button button-quiet button-wide" name="take_back" value="1">Take the entry back</button>
            <a class="button button-quiet button-wide"
                href="/jobs/{{ $page->job->id }}?step={{ urlencode($page->entry->step) }}">Leave it as it was</a>
        </form>
    </section>
</x-layout>
