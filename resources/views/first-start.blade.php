<x-layout title="First start">
    <section class="door">
        <p class="wordmark wordmark-large">Aqbel</p>
        <h1>Set up the shop</h1>
        <form method="post" action="/first-start" class="entry">
            @csrf
            @foreach (['shop' => ['Shop’s name', 'text', 'organization'], 'elevation_m' => ['Elevation above sea level, m', 'text', 'off'], 'name' => ['Your name', 'text', 'name'], 'login' => ['Sign-in name', 'text', 'username'], 'password' => ['Password, 10 characters or more', 'password', 'new-password']] as $name => [$label, $type, $complete])
                <div class="field"><label for="{{ $name }}">{{ $label }}</label><input id="{{ $name }}" name="{{ $name }}" type="{{ $type }}" value="{{ $type === 'text' && is_string(old($name)) ? old($name) : '' }}" autocomplete="{{ $complete }}" @error($name) aria-invalid="true" aria-describedby="{{ $name }}-error" @enderror>@error($name)<p class="error" id="{{ $name }}-error">@icon('triangle-alert'){{ $message }}</p>@enderror</div>
            @endforeach
            <button class="button button-go button-wide">Start</button>
        </form>
    </section>
</x-layout>
