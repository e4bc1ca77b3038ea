{{-- What happened a while ago. At a finished step it is judged again with it, and opens again if it falls. --}}
@php $told = $page->earlier(); @endphp
@if ($told->forms() !== [])
    <{{ $told->isInHand() ? 'section' : 'details' }} class="late mt-2 [&>form]:mt-2" @if ($errors->any()) open @endif>
        @unless ($told->isInHand())
            <summary class="button button-quiet button-wide" data-key="l"
                data-key-label="Something was forgotten here">Something was forgotten here…</summary>
        @endunless
        @foreach ($told->forms() as $form)
            <form method="post" action="/jobs/{{ $page->job->id }}/late" class="entry my-3 in-[.dock]:m-0 [&_details[open]]:border [&_details[open]]:border-rule [&_details[open]]:p-3 [&_details[open]>summary]:mb-3" data-send>
                @include('run.sent', ['step' => $page->step->id, 'stay' => true])
                <input type="hidden" name="form" value="{{ $form->name }}">
                <details @if (old('form') === $form->name) open @endif>
                    <summary class="button button-quiet button-wide">{{ $form->button }}…</summary>
                    <div class="fields">
                        @foreach ($form->fields as $field)
                            @include('layouts.field', ['units' => $page->units, 'value' => null, 'prefix' => 'late-'.$form->name.'-', 'fold' => false])
                        @endforeach
                        <div @class(['field', 'has-error' => $errors->has('when')])>
                            <label for="late-{{ $form->name }}-when">It happened at</label>
                            <input id="late-{{ $form->name }}-when" type="datetime-local" name="when" max="{{ $told->until() }}"
                                value="{{ $typed('when', $told->until()) }}">
                            @error ('when')<p class="error" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
                        </div>
                    </div>
                    <button class="button button-wide">{{ $form->button }}, {{ $told->isInHand() ? 'then' : 'late' }}</button>
                </details>
            </form>
        @endforeach
    </{{ $told->isInHand() ? 'section' : 'details' }}>
@endif
