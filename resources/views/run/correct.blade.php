<x-layout title="Correct an entry">
    <section class="sheet">
        <p class="step-stage">{{ $job->vehicle->plate }} · {{ $title }}</p>
        <h1>Correct an entry</h1>
        <p class="why">The journal only grows: the entry of {{ date('H:i:s', $entry->at) }} by {{ $entry->person }} stays in it, and the correction counts from now on.</p>
        @error ('finish')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
        <form method="post" action="/jobs/{{ $job->id }}/entries/{{ $entry->seq }}" class="entry" data-once>
            @csrf<input type="hidden" name="key" value="{{ Str::uuid() }}"><input type="hidden" name="step" value="{{ $entry->step }}"><input type="hidden" name="stay" value="1">
            @if ($form->fields !== [])
                <div class="fields">
                    @foreach ($form->fields as $field)
                        @php $value = $entry->values[$field->name] ?? null; @endphp
                        <x-field :field="$field" :units="$units" :value="$entry->typed[$field->name] ?? ($value === true ? '1' : (is_string($value) ? $value : ''))"/>
                    @endforeach
                </div>
            @endif
            <div class="field field-text"><label for="why">Why <small>if it helps</small></label><input id="why" name="reason" type="text" maxlength="300" autocomplete="off"></div>
            @if ($form->fields !== [])<button class="button button-go button-wide" data-key="e" data-key-label="Keep the correction">Keep the correction</button>@endif
            <button class="button button-quiet button-wide" name="take_back" value="1">Take the entry back</button>
            <a class="button button-quiet button-wide" href="/jobs/{{ $job->id }}?step={{ urlencode($entry->step) }}">Leave it as it was</a>
        </form>
    </section>
</x-layout>
