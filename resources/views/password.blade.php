<x-layout title="Password">
    <form method="post" action="/password" class="sheet" data-once>
        @csrf
        <h1>{{ $first ? 'Choose a password of your own' : 'Change your password' }}</h1>
        @if ($first)<p>The one you were given is known to somebody else.</p>@endif
        <x-input name="current" label="Password so far" type="password" autocomplete="current-password"/>
        <x-input name="password" label="New password, 10 characters or more" type="password" autocomplete="new-password"/>
        <button class="button button-go button-wide">Keep</button>
    </form>
    @unless ($first)
        <form method="post" action="/password/pin" class="sheet" data-once>
            @csrf
            <h2>PIN for shared tablets</h2>
            <p>{{ $hasPin ? 'You have one. Keep another, or none to take it away.' : 'Four to eight digits, for tablets that a lead has admitted.' }}</p>
            <x-input name="known" label="Your password" type="password" autocomplete="current-password"/>
            <x-input name="pin" label="PIN" type="password" autocomplete="off" inputmode="numeric"/>
            <button class="button">Keep the PIN</button>
        </form>
        <form method="post" action="/calendar" class="sheet" id="calendar" data-once>
            @csrf
            <h2>Your visits in a calendar</h2>
            @if ($calendar)
                <p>Give this address to your calendar. Whoever has it sees your visits.</p>
                <p class="num break-all select-all">{{ url("/calendar/{$calendar}.ics") }}</p>
                <button class="button">Another address</button>
                <button class="button button-quiet" name="end" value="1">Take it back</button>
            @else
                <p>A secret address that your calendar asks by itself.</p>
                <button class="button">Make an address</button>
            @endif
        </form>
    @endunless
</x-layout>
