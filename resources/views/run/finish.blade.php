<form method="post" action="/jobs/{{ $page->job->id }}/finish"
    @class(['finish mt-[18px] border-t-3 border-dashed border-level bg-panel pt-2.5 pb-1.5', 'sticky bottom-12' => $page->toFinish->isNothing()]) data-send>
    @include('run.sent', ['step' => $page->step->id, 'stay' => false])
    @if ($page->toFinish->isNothing() && $page->signs())
        <div class="grid grid-cols-2 items-end gap-3 [&_.field]:m-0">
            <x-input name="known" label="Your PIN or password" type="password" autocomplete="current-password"/>
            <button class="button button-finish" data-key="d" data-key-label="Finish the step">{{ $page->kind->finishWord() }}</button>
        </div>
    @elseif ($page->toFinish->isNothing())
        <button class="button button-finish" data-key="d" data-key-label="Finish the step">{{ $page->kind->finishWord() }}</button>
    @else
        <ul class="obstacles mb-2 grid gap-1" aria-label="Before this step is finished">
            @foreach ($page->toFinish->shown() as $obstacle)
                <li @class(['flex items-start gap-2.5', 'font-semibold text-stop' => $obstacle->hard])>@icon($obstacle->hard ? 'octagon-x' : 'square'){{ $obstacle->text }}</li>
            @endforeach
        </ul>
        @if ($page->toFinish->waitsForLead())
            <p class="help">A lead passes this over with a reason; everybody may correct the numbers.</p>
        @elseif ($page->toFinish->canBePassedOver())
            <details @if ($errors->has('reason') || old('reason')) open @endif>
                <summary class="button button-quiet" data-key="o"
                    data-key-label="Pass over with a reason">Pass over with a reason…</summary>
                <label class="mt-2.5 mb-1 block font-semibold" for="reason">Reason, kept in the record</label>
                <input id="reason" name="reason" type="text" maxlength="500" autocomplete="off"
                    value="{{ $typed('reason') }}"
                    @error('reason') aria-invalid="true" aria-describedby="reason-error" @enderror>
                @error ('reason')<p class="error" id="reason-error">@icon('triangle-alert'){{ $message }}</p>@enderror
                <button class="button mt-2">Pass over</button>
            </details>
        @endif
    @endif
</form>
