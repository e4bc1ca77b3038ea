<x-layout title="Sign in">
    <section class="door">
        <p class="wordmark wordmark-large">Aqbel</p>
        <h1>{{ $shop->name }}</h1>
        <form method="post" action="/sign-in" class="entry">
            @csrf
            <div class="field"><label for="login">Sign-in name</label><input id="login" name="login" type="text" value="{{ is_string(old('login')) ? old('login') : '' }}" autocomplete="username" autocapitalize="none" required @error('login') aria-invalid="true" aria-describedby="login-error" @enderror>@error('login')<p class="error" id="login-error">@icon('triangle-alert'){{ $message }}</p>@enderror</div>
            <div class="field"><label for="password">Password</label><input id="password" name="password" type="password" autocomplete="current-password" required @error('password') aria-invalid="true" aria-describedby="password-error" @enderror>@error('password')<p class="error" id="password-error">@icon('triangle-alert'){{ $message }}</p>@enderror</div>
            <button class="button button-go button-wide">Sign in</button>
        </form>
        @if (config('aqbel.demo'))
            <section class="demo-people" aria-labelledby="demo-title"><h2 id="demo-title">Demo sign-ins</h2>
                <dl><dt>Technician</dt><dd>imre / bleed-it-dry</dd><dt>Lead</dt><dd>sunniva / bleed-it-dry</dd></dl></section>
        @endif
    </section>
</x-layout>
