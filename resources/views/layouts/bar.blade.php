<header class="bar flex min-h-[60px] items-stretch gap-6 border-b-3 border-coolant bg-panel px-5 max-[900px]:gap-2 max-[900px]:px-3 max-[640px]:flex-wrap max-[640px]:gap-1 print:hidden">
    <a href="/" class="grid min-h-11 items-center self-center font-gauge text-[1.75rem]/none font-semibold tracking-[0.01em] text-ink underline decoration-level decoration-3 underline-offset-7" aria-label="Aqbel, floor">Aqbel</a>
    <nav class="flex gap-1 max-[900px]:gap-0 max-[640px]:order-3 max-[640px]:min-h-12 max-[640px]:w-full max-[640px]:overflow-x-auto max-[640px]:[scrollbar-width:none]" aria-label="Main">
        @foreach ($screens as $href => [$name, $key])
            <a class="grid min-w-16 place-items-center px-3.5 font-medium text-ink no-underline aria-[current]:font-bold aria-[current]:shadow-[inset_0_-5px_0_var(--color-coolant)] max-[900px]:min-w-11 max-[900px]:px-1.5 max-[640px]:flex-none max-[640px]:px-2.5"
                href="{{ $href }}" data-key="g {{ $key }}" data-key-label="Go to {{ $name }}"
                @if (request()->is(ltrim($href, '/') ?: '/')) aria-current="page" @endif>{{ $name }}</a>
        @endforeach
    </nav>
    <div class="ml-auto flex items-center gap-2 max-[900px]:gap-[5px] max-[640px]:gap-1">
        <span class="mr-2 text-[0.9375rem] text-quiet max-[1100px]:hidden">{{ $shop->name }}, {{ $person->units->sayHeight(1000.0 * $shop->elevation_m) }}</span>
        <form method="post" action="/units">
            @csrf
            <button class="inline-flex min-h-11 min-w-11 items-center justify-center whitespace-nowrap rounded border border-rule px-3 font-medium text-inherit max-[900px]:px-[9px] max-[640px]:px-2" data-key="g u" data-key-label="Switch units">
                {{ $person->units->value === 'metric' ? 'L °C' : 'qt °F' }}<span class="sr-only"> units, switch</span>
            </button>
        </form>
        <button class="inline-flex min-h-11 min-w-11 items-center justify-center whitespace-nowrap rounded border border-rule px-3 font-medium text-inherit max-[900px]:px-[9px] max-[640px]:px-2" type="button" data-theme-switch data-key="g t" data-key-label="Light or dark"
            aria-label="Light or dark">
            @icon('sun-moon')
        </button>
        <button class="inline-flex min-h-11 min-w-11 items-center justify-center whitespace-nowrap rounded border border-rule px-3 font-medium text-inherit max-[900px]:px-[9px] max-[640px]:px-2 max-[900px]:hidden" type="button" data-sheet data-key="?" data-key-label="This sheet" aria-label="Shortcuts">
            @icon('keyboard')
        </button>
        <a class="inline-flex min-h-11 min-w-11 items-center justify-center whitespace-nowrap rounded border border-rule px-3 font-medium text-inherit max-[900px]:px-[9px] max-[640px]:px-2" href="/shop" data-key="g h" data-key-label="Go to Shop" aria-label="Shop"
            @if (request()->is('shop*', 'people')) aria-current="page" @endif>@icon('wrench')</a>
        <form method="post" action="/sign-out">
            @csrf
            <button class="inline-flex min-h-11 min-w-11 items-center justify-center whitespace-nowrap rounded border border-rule px-3 font-medium text-inherit max-[900px]:px-[9px] max-[640px]:px-2 person flex-col items-start leading-[1.15]"><b class="max-[640px]:max-w-[84px] max-[640px]:overflow-hidden max-[640px]:text-ellipsis">{{ $person->name }}</b><small class="text-[0.8125rem] max-[900px]:hidden">{{ $person->role->label() }} · sign out</small></button>
        </form>
    </div>
</header>
