<x-layout title="People">
    <x-head><h1>People</h1><p>Who signs in here. What somebody wrote stays in the records for ever.</p></x-head>
    @error ('person')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    <div class="mb-5 grid items-start gap-5 min-[821px]:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        @if ($manages)
        <x-panel tag="form" method="post" action="/people" data-once>
            @csrf
            <h2>Add somebody</h2>
            <x-input name="name" label="Name, as in the records"/>
            <x-input name="login" label="Sign-in name" autocapitalize="none"/>
            <x-input name="password" label="First password, changed at the first sign-in" type="password" autocomplete="new-password"/>
            <div class="field field-choice">
                <fieldset>
                    <legend>May</legend>
                    <div class="choices">
                        @foreach ($roles as $role)
                            <label class="choice">
                                <input type="radio" name="role" value="{{ $role->value }}"
                                    @checked(old('role', 'technician') === $role->value)>
                                <span>{{ $role->label() }}</span>
                            </label>
                        @endforeach
                    </div>
                </fieldset>
            </div>
            <button class="button button-go">Add</button>
        </x-panel>
        @endif
        <x-rows>
            @foreach ($people as $person)
                <x-row>
                    <x-row-name :name="$person->name"
                        :gone="$person->disabled_at !== null">{{ $person->role->label() }} · {{ $person->login }}{{
                        $person->disabled_at ? ' · signs in no more' : '' }}{{ $person->must_change && ! $person->disabled_at ? ' · first password' : '' }}</x-row-name>
                    @if ($manages && $person->isNot($self))
                        <form method="post" action="/people/{{ $person->id }}" class="flex flex-wrap gap-2">
                            @csrf
                            <button class="button button-quiet" name="role" value="{{ $person->role->other()->value }}">
                                Make {{ mb_strtolower($person->role->other()->label()) }}
                            </button>
                            <button class="button button-quiet" name="disable" value="{{ $person->disabled_at ? '0' : '1' }}">
                                {{ $person->disabled_at ? 'Let sign in again' : 'Sign out for good' }}
                            </button>
                        </form>
                        <details class="basis-full">
                            <summary class="flex min-h-11 items-center">New first password…</summary>
                            <form method="post" action="/people/{{ $person->id }}" class="search">
                                @csrf
                                <label class="sr-only" for="first-{{ $person->id }}">First password for {{ $person->name }}</label>
                                <input id="first-{{ $person->id }}" name="password" type="password" autocomplete="new-password">
                                <button class="button button-quiet">Set</button>
                            </form>
                        </details>
                    @elseif ($person->is($self))
                        <a class="button button-quiet" href="/password">Change your password</a>
                    @endif
                    @foreach ($signIns[$person->id] ?? [] as $signIn)
                        @if ($manages || $person->is($self))
                            <form method="post" action="/sign-ins/{{ $signIn->id }}/end"
                                class="flex basis-full flex-wrap items-center gap-2">
                                @csrf
                                <small>Signed in at {{ $signIn->place() }},
                                    {{ $signIn->at->diffForHumans() }}{{ $signIn->id === $current ? ', here' : '' }}</small>
                                @if ($signIn->id !== $current)<button class="button button-quiet">End</button>@endif
                            </form>
                        @endif
                    @endforeach
                </x-row>
            @endforeach
        </x-rows>
    </div>
</x-layout>
