<x-layout title="First start">
    <section class="door">
        <p class="wordmark wordmark-large">Aqbel</p>
        <h1>Set up the shop</h1>
        <form method="post" action="/first-start" class="entry">
            @csrf
            @if (\App\Http\Controllers\FirstStartController::code() !== null)
                <x-input name="code" label="Code from the terminal" autocomplete="off"/>
            @endif
            <x-input name="shop" label="Shop’s name" autocomplete="organization"/>
            <x-input name="elevation_m" label="Elevation above sea level, m"/>
            <x-input name="name" label="Your name" autocomplete="name"/>
            <x-input name="login" label="Sign-in name" autocomplete="username"/>
            <x-input name="password" label="Password, 10 characters or more" type="password" autocomplete="new-password"/>
            <label class="tick">
                <input type="checkbox" name="layouts" value="1" checked>
                <span>Begin with ten layouts of circuits, to be copied and made to fit</span>
            </label>
            <button class="button button-go button-wide">Start</button>
        </form>
    </section>
</x-layout>
