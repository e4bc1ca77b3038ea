<x-layout title="People">
    <header class="page-head"><h1>People</h1><p>Who signs in here. What somebody wrote stays in the records for ever.</p></header>
    @error ('person')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    <div class="vehicle-page">
        @if ($manages)
        <form method="post" action="/people" class="panel" data-once>
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
        </form>
        @endif
        <ul class="vehicles">
            @foreach ($people as $person)
                <li @class(['gone' => $person->disabled_at])>
                    <span class="person-name">
                        <b>{{ $person->name }}</b>
                        <small>{{ $person->role->label() }} · {{ $person->login }}{{ $person->disabled_at ? ' · signs in no more' : '' }}{{
                            $person->must_change && ! $person->disabled_at ? ' · first password' : '' }}</small>
                    </span>
                    @if ($manages && $person->isNot($self))
                        <form method="post" action="/people/{{ $person->id }}">
                            @csrf
                            <button class="button button-quiet" name="role" value="{{ $person->role->other()->value }}">
                                Make {{ mb_strtolower($person->role->other()->label()) }}
                            </button>
                            <button class="button button-quiet" name="disable" value="{{ $person->disabled_at ? '0' : '1' }}">
                                {{ $person->disabled_at ? 'Let sign in again' : 'Sign out for good' }}
                            </button>
                        </form>
                        <details>
                            <summary>New first password…</summary>
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
                            <form method="post" action="/sign-ins/{{ $signIn->id }}/end" class="signed-in">
                                @csrf
                                <small>Signed in at {{ $signIn->place() }},
                                    {{ $signIn->at->diffForHumans() }}{{ $signIn->id === $current ? ', here' : '' }}</small>
                                @if ($signIn->id !== $current)<button class="button button-quiet">End</button>@endif
                            </form>
                        @endif
                    @endforeach
                </li>
            @endforeach
        </ul>
    </div>
</x-layout>
