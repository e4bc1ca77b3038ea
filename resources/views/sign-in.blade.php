<x-layout title="Sign in">
    <section class="door">
        <p class="wordmark wordmark-large">Aqbel</p>
        <h1>{{ $shop->name }}</h1>
        @if ($tablet !== null && count($people) > 0)
            <form method="post" action="/sign-in/pin" class="entry pin">
                @csrf
                <fieldset>
                    <legend>Who is at {{ $tablet->name }}?</legend>
                    <div class="choices">
                        @foreach ($people as $person)
                            <label class="choice">
                                <input type="radio" name="person" value="{{ $person->id }}"
                                    @checked(old('person') === (string) $person->id || count($people) === 1)>
                                <span>{{ $person->name }}</span>
                            </label>
                        @endforeach
                    </div>
                </fieldset>
                <x-input name="pin" label="PIN" type="password" autocomplete="off" inputmode="numeric"/>
                <button class="button button-go button-wide">Open</button>
            </form>
            <h2>Or with your password</h2>
        @endif
        <form method="post" action="/sign-in" class="entry">
            @csrf
            <x-input name="login" label="Sign-in name" autocomplete="username" autocapitalize="none" required/>
            <x-input name="password" label="Password" type="password" autocomplete="current-password" required/>
            <button @class(['button button-wide', 'button-go' => $tablet === null || count($people) === 0])>Sign in</button>
        </form>
        @if (config('aqbel.demo'))
            <section class="demo-people" aria-labelledby="demo-title">
                <h2 id="demo-title">Demo sign-ins</h2>
                <dl><dt>Technician</dt><dd>imre / bleed-it-dry</dd><dt>Lead</dt><dd>sunniva / bleed-it-dry</dd></dl>
            </section>
        @endif
    </section>
</x-layout>
