<header class="bar">
    <a href="/" class="wordmark" aria-label="Aqbel, floor">Aqbel</a>
    <nav aria-label="Main">
        @foreach ($screens as $href => [$name, $key])
            <a href="{{ $href }}" data-key="g {{ $key }}" data-key-label="Go to {{ $name }}"
                @if (request()->is(ltrim($href, '/') ?: '/')) aria-current="page" @endif>{{ $name }}</a>
        @endforeach
    </nav>
    <div class="bar-end">
        <span class="bar-shop">{{ $shop->name }}, {{ number_format($shop->elevation_m) }} m</span>
        <form method="post" action="/units">
            @csrf
            <button class="chip" data-key="g u" data-key-label="Switch units">
                {{ $person->units->value === 'metric' ? 'L °C' : 'qt °F' }}<span class="sr-only"> units, switch</span>
            </button>
        </form>
        <button class="chip icon-chip" type="button" data-theme-switch data-key="g t" data-key-label="Light or dark"
            aria-label="Light or dark">
            @icon('sun-moon')
        </button>
        <button class="chip icon-chip" type="button" data-sheet data-key="?" data-key-label="This sheet" aria-label="Shortcuts">
            @icon('keyboard')
        </button>
        <a class="chip icon-chip" href="/shop" data-key="g h" data-key-label="Go to Shop" aria-label="Shop"
            @if (request()->is('shop*', 'people')) aria-current="page" @endif>@icon('wrench')</a>
        <form method="post" action="/sign-out">
            @csrf
            <button class="chip person"><b>{{ $person->name }}</b><small>{{ $person->role->label() }} · sign out</small></button>
        </form>
    </div>
</header>
