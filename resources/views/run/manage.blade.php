<x-layout :title="$job->number()" :about="$job->id">
    <div id="manage" data-live>
    <x-head>
        <span class="plate">{{ $job->vehicle->plate }}</span>
        <h1>{{ $job->number() }} in the shop’s hands</h1>
        <p>In hand: {{ $job->holder->name ?? $job->planner->name }}.</p>
        <div class="ml-auto flex flex-wrap gap-2"><a class="button" href="/jobs/{{ $job->id }}" data-key="h" 
            data-key-label="Step in hand">Back to the job</a></div>
    </x-head>
    @error ('job')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    <div class="grid items-start gap-5 min-[821px]:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <x-panel tag="form" method="post" action="/jobs/{{ $job->id }}/hand-over" data-once>
            @csrf
            <h2>Hand over</h2>
            <div @class(['field', 'has-error' => $errors->has('to')])>
                <label for="to">To</label>
                <select id="to" name="to">
                    @foreach ($people as $person)
                        <option value="{{ $person->id }}"
                            @selected($person->id === ($job->held_by ?? $job->planned_by))>{{ $person->name }}</option>
                    @endforeach
                </select>
                @error ('to')<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror
            </div>
            <button class="button button-quiet">Hand it over</button>
        </x-panel>
        <x-panel tag="form" method="post" action="/jobs/{{ $job->id }}/rest" data-once>
            @csrf
            <h2>Rest</h2>
            <div @class(['field', 'has-error' => $errors->has('until')])>
                <label for="until">Somebody goes on at</label>
                <input id="until" name="until" type="datetime-local" value="{{ $typed('until', $morning) }}">
                @error ('until')<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror
            </div>
            <p class="help">{{ $open === [] ? 'Nothing stands open as far as it is recorded.' : 'Stands open meanwhile: '.implode(', ', $open).'. Hang a note on the wheel.' }}
                @if ($stillSo)Still {{ $stillSo }}.@endif
                @if ($freezes)What is inside freezes {{ $freezes }}.@endif</p>
            <button class="button button-quiet">Let it rest</button>
        </x-panel>
        <x-panel tag="form" method="post" action="/jobs/{{ $job->id }}/feeds" data-once>
            @csrf
            <h2>Connect an instrument</h2>
            @error ('feed')<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror
            <x-input name="name" label="Its name" value="Scale"/>
            <p class="help">An address that a scale under the bucket, a gauge or a cable sends to, as long as this job is in hand.</p>
            <button class="button button-quiet">Make an address</button>
            @foreach ($feeds as $feed)<p class="mt-3 break-all"><b>{{ $feed->name }}</b>: <code>{{ url("/feeds/{$feed->token}") }}</code></p>@endforeach
        </x-panel>
        <x-panel tag="form" method="post" action="/jobs/{{ $job->id }}/another-way" class="col-span-full" id="another-way" data-once>
            @csrf
            <input type="hidden" name="key" value="{{ Str::random(32) }}">
            <input type="hidden" name="seen" value="{{ $seen }}">
            <h2>Another way from here</h2>
            <p>What was done stays, and counts. What stands open is closed or taken off first; the rest follows by the new way.</p>
            <div class="fields">
                @include('layouts.field', ['field' => $school, 'units' => $units, 'value' => null, 'prefix' => '', 'bare' => true])
                @include('layouts.field', ['field' => $target, 'units' => $units, 'value' => null, 'prefix' => '', 'bare' => true])
                @foreach ($place as $field)@include('layouts.field', ['field' => $field, 'units' => $units, 'value' => null, 'prefix' => '', 'bare' => true])@endforeach
                <x-input name="why" label="Why, for the record"/>
            </div>
            <button class="button">Go on this way</button>
        </x-panel>
        @if ($newer)
            <x-panel tag="form" method="post" action="/jobs/{{ $job->id }}/merge" class="col-span-full" data-once>
                @csrf
                <h2>Go by the circuit as it is now</h2>
                <p>Revision {{ $newer->revision }}; this job goes by {{ $job->circuit->revision }}. The sequence and its numbers are
                    made anew by the same choices, and all that was recorded stays and is judged by them.</p>
                <table class="list">
                    <thead><tr><th scope="col">Changed</th><th scope="col">Was</th><th scope="col">Is</th></tr></thead>
                    @forelse ($changes as $change)
                        <tr><th scope="row">{{ $change->where }}</th><td>{{ $change->was }}</td><td>{{ $change->is }}</td></tr>
                    @empty
                        <tr><td colspan="3">No difference.</td></tr>
                    @endforelse
                </table>
                @error ('merge')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
                <button class="button">Go by revision {{ $newer->revision }}</button>
            </x-panel>
        @endif
        <x-panel tag="form" method="post" action="/jobs/{{ $job->id }}/abandon" class="col-span-full" data-once>
            @csrf
            <h2>Give it up, or plan anew from where it stands</h2>
            <p>The record stays as it is. What stands open, and how much is inside, is carried to the next job on
                {{ $job->vehicle->plate }}{{
                $open === [] ? '' : ': open is '.implode(', ', $open) }}.</p>
            <x-input name="why" label="Why"/>
            <div class="mb-4 flex flex-wrap gap-2 [&_[aria-current]]:bg-ink [&_[aria-current]]:text-panel">
                <button class="button" name="anew" value="1">Plan anew</button>
                <button class="button button-quiet" name="anew" value="0">Give it up</button>
            </div>
        </x-panel>
    </div>
    </div>
</x-layout>
