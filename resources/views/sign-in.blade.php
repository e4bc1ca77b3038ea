<x-layout title="Sign in">
    <section class="door">
        <p class="wordmark wordmark-large">Aqbel</p>
        <h1>{{ $shop->name }}</h1>
        <form method="post" action="/sign-in" class="entry">
            @csrf
            <x-input name="login" label="Sign-in name" autocomplete="username" autocapitalize="none" required/>
            <x-input name="password" label="Password" type="password" autocomplete="current-password" required/>
            <button class="button button-go button-wide">Sign in</button>
        </form>
        @if (config('aqbel.demo'))
            <section class="demo-people" aria-labelledby="demo-title">
                <h2 id="demo-title">Demo sign-ins</h2>
                <dl><dt>Technician</dt><dd>imre / bleed-it-dry</dd><dt>Lead</dt><dd>sunniva / bleed-it-dry</dd></dl>
            </section>
        @endif
    </section>
</x-layout>
