<x-layout :title="'Days after, '.$page->job->number()">
    <x-head>
        <span class="plate">{{ $page->job->vehicle->plate }}</span>
        <h1>The days after</h1>
        <p>{{ $page->job->vehicle->name }} · <a href="/jobs/{{ $page->job->id }}/record">record {{ $page->job->number() }}</a>,
            {{ $page->job->life()->label() }}{{ $page->job->life() === Aqbel\Core\Job\Life::Signed ? ' '.$page->job->signed_at->format('Y-m-d') : '' }}</p>
    </x-head>
    @error ('visit')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    <div class="grid items-start gap-4 lg:grid-cols-2">
        <section class="min-w-0 bg-panel p-5" id="visit" aria-labelledby="visit-title">
            @if ($page->wrong)
                <h2 id="visit-title">Correct the look of {{ $page->wrong->done_at->format('Y-m-d H:i') }}</h2>
                <p class="help">It stays as {{ $page->wrong->doer?->name }} signed it, struck out; what you enter here counts, of the time it was seen.</p>
            @else
            <h2 id="visit-title">{{ $page->next === null ? 'A look today' : ($page->next->isOverdue() ? 'Overdue since ' : 'Due ').$page->next->due_on->format('Y-m-d') }}</h2>
            @foreach ($page->why() as $why)<p class="help">{{ $why }}</p>@endforeach
            <p class="caution-line flex items-start gap-2 font-semibold">@icon('triangle-alert')Cold engine only. A warm neck stays shut: it
                scalds.</p>
            @endif
            <form method="post" action="{{ $page->wrong ? "/visits/{$page->wrong->id}/correct" : "/jobs/{$page->job->id}/visits" }}"
                enctype="multipart/form-data" class="grid gap-3" data-once>
                @csrf
                <input type="hidden" name="key" value="{{ Str::uuid() }}">
                <input type="hidden" name="visit" value="{{ $page->next?->id }}">
                @foreach ($page->form->fields as $field)
                    @continue (! in_array($field->name, ['level', 'volume', 'celsius'], true))
                    @include('layouts.field', ['prefix' => 'visit-', 'units' => $page->units, 'value' => $page->value($field)])
                @endforeach
                <details @if ($page->wrong || $errors->hasAny(['freeze_c', 'odometer', 'hours', 'note', 'photo', 'vessel'])) open @endif>
                    <summary class="py-2.5">More: an alarm, the complaint, mixture, distance, photograph, told by the customer</summary>
                    <div class="grid gap-3 pt-3">
                        @foreach ($page->form->fields as $field)
                            @continue (in_array($field->name, ['level', 'volume', 'celsius'], true))
                            @include('layouts.field', ['prefix' => 'visit-', 'units' => $page->units, 'value' => $page->value($field)])
                        @endforeach
                        @unless ($page->wrong)<div class="field">
                            <label for="visit-photo">Photograph</label>
                            <input id="visit-photo" type="file" name="photo" accept="image/jpeg,image/png,image/webp" capture="environment">
                            @error ('photo')<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror
                        </div>@endunless
                    </div>
                </details>
                @if ($page->wrong)
                    <x-input name="because" label="What was wrong with it"/>
                    <button class="button button-go button-wide" data-key="e"
                        data-key-label="Keep the correction">Keep the correction</button>
                    <button class="button button-quiet button-wide" name="take_back" value="1">Take it back: nobody looked</button>
                    <a class="button button-quiet button-wide" href="/jobs/{{ $page->job->id }}/visits">Leave it as it was</a>
                @else
                    <button class="button button-go button-wide" data-key="e" data-key-label="Sign this visit">Sign this visit</button>
                @endif
            </form>
            @if ($page->next && ! $page->wrong)
                <div class="mt-4 flex flex-wrap items-end gap-3">
                    <form method="post" action="/visits/{{ $page->next->id }}/hand-over" class="flex items-end gap-2">
                        @csrf
                        <div class="field"><label for="to">In whose hands</label>
                            <select id="to" name="to">
                                <option value="">Anybody’s</option>
                                @foreach ($people as $person)<option value="{{ $person->id }}"
                                    @selected($page->next->held_by === $person->id)>{{ $person->name }}</option>@endforeach
                            </select></div>
                        <button class="button button-quiet">Hand over</button>
                    </form>
                    <a class="button button-quiet" href="/visits/{{ $page->next->id }}.ics">To a calendar</a>
                    <details @if ($errors->has('because')) open @endif>
                        <summary class="py-2.5">Nobody looks…</summary>
                        <form method="post" action="/visits/{{ $page->next->id }}/skip" class="flex items-end gap-2 pt-2">
                            @csrf
                            <x-input name="because" label="Why"/>
                            <button class="button button-quiet">Skip it</button>
                        </form>
                    </details>
                </div>
            @endif
        </section>
        <section class="min-w-0 bg-panel p-5" aria-labelledby="says-title">
            <h2 id="says-title">What the days say</h2>
            @if ($verdict = $page->verdict())
                <x-verdict :verdict="$verdict"/>
                @if ($page->says->code->isRed())<p class="mt-3"><a class="button button-go"
                    href="{{ $page->planAddress() }}">Plan a job on it</a></p>@endif
            @else
                <p>Nobody has looked since it was signed.</p>
            @endif
            @if ($page->rows() !== [])
                <div class="mt-4 overflow-x-auto" tabindex="0" role="group" aria-label="Every look"><table class="list">
                    <thead><tr><th scope="col">Day</th><th scope="col">Level</th><th scope="col">Topped up</th><th scope="col">At</th>
                        <th scope="col">By</th></tr></thead>
                    <tbody>
                        @foreach ($page->rows() as $row)
                            <tr @class(['line-through' => $row->struck !== ''])>
                                <th scope="row">{{ $row->day }}</th>
                                    <td>{{ $row->level }}@if ($row->more !== '') <small>{{ $row->more }}</small>@endif
                                    @if ($row->photo)<a href="/photos/{{ $row->photo }}">photograph</a>@endif</td>
                                <td class="num">{{ $row->toppedUp }}</td><td class="num">{{ $row->warm }}</td><td>{{ $row->by }}
                                    @if ($row->correct)<a href="/jobs/{{ $page->job->id }}/visits?correct={{ $row->correct }}#visit"
                                        aria-label="Correct the look of {{ $row->day }}">Correct</a>@endif</td>
                            </tr>
                            @if ($row->struck !== '')<tr><td colspan="5"><small>{{ $row->struck }}</small></td></tr>@endif
                        @endforeach
                    </tbody>
                </table></div>
            @endif
            <details class="mt-4" @if ($errors->has('due_on')) open @endif>
                <summary class="py-2.5">Look again on…</summary>
                <form method="post" action="/jobs/{{ $page->job->id }}/visits/ask" class="flex flex-wrap items-end gap-2 pt-2">
                    @csrf
                    <x-input name="due_on" label="Day" type="date"/>
                    <x-input name="watch" label="Watch for"/>
                    <button class="button button-quiet">Book it</button>
                </form>
            </details>
        </section>
    </div>
</x-layout>
