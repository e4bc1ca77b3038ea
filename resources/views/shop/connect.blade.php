<x-layout title="Connect a tablet">
    <x-head>
        <h1>Connect a tablet</h1>
        <div class="ml-auto flex flex-wrap gap-2"><a class="button button-quiet" href="/shop">Shop</a></div>
    </x-head>
    @if ($address === null)
        <x-empty>
            <h2>Only this machine reaches Aqbel now</h2>
            <p>Stop it, and start it again with the name or address by which tablets in the shop’s own network reach this machine:</p>
            <p><code>./aqbel serve --host aqbel.lan</code></p>
            <p>It then speaks HTTPS, which tablets want before they lend their camera or keep a page without a connection.</p>
        </x-empty>
    @else
        <ol class="grid grid-cols-[repeat(auto-fit,minmax(min(100%,380px),1fr))] gap-5">
            <li class="bg-panel px-5 py-[18px]">
                <h2>1. Trust this shop’s certificate</h2>
                <div class="my-3.5 size-60 bg-white [&_path]:fill-black" data-qr="{{ $trust }}"></div>
                <p>With the tablet in the shop’s network, scan this or open <a href="{{ $trust }}">{{ $trust }}</a>. Save the file,
                    then in the tablet’s settings, under security or certificates, install it as an authority for websites. On some it
                    must be switched on once more where certificates are trusted.</p>
                <p class="help">Compare before you trust it. SHA-256 of the certificate:<br><code class="wrap-anywhere">{{ $fingerprint }}</code></p>
            </li>
            <li class="bg-panel px-5 py-[18px]">
                <h2>2. Open Aqbel</h2>
                <div class="my-3.5 size-60 bg-white [&_path]:fill-black" data-qr="{{ $address }}"></div>
                <p>Scan this or open <a href="{{ $address }}">{{ $address }}</a>, sign in, and put it on the tablet’s home screen.</p>
                <p class="help">If the browser warns of the connection, the first step is not done yet on this tablet. Do not go past
                    the warning: without trust there is no camera and nothing is kept while the connection is gone.</p>
            </li>
        </ol>
    @endif
    <x-panel class="mt-5">
        <h2>Shared tablets</h2>
        <p>On a tablet that a lead has admitted people sign in with a short PIN of their own, and it asks who is there after the
            time set under Shop. What somebody has typed stays theirs.</p>
        @if ($tablets->isNotEmpty())
            <x-rows>
                @foreach ($tablets as $tablet)
                    <x-row>
                        <x-row-name :name="$tablet->name">admitted {{ $tablet->admitted_at->format('Y-m-d') }}{{ $here?->is($tablet) ? ', this one' : '' }}</x-row-name>
                        @if ($manages)
                            <form method="post" action="/tablets/{{ $tablet->id }}/end">@csrf<button
                                class="button button-quiet">End</button></form>
                        @endif
                    </x-row>
                @endforeach
            </x-rows>
        @endif
        @if ($manages && $here === null)
            <form method="post" action="/tablets" data-once>
                @csrf
                <x-input name="tablet" label="Admit the tablet in your hand as"/>
                <button class="button button-quiet">Admit it</button>
            </form>
        @endif
    </x-panel>
</x-layout>
