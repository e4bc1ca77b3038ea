@php $notice = 'mx-5 mt-3 border-l-[5px] border-current bg-wait-ground px-4 py-3 text-wait print:hidden'; @endphp
<!doctype html>
<html lang="en" @if ($theme !== null) data-theme="{{ $theme }}" @endif>
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Aqbel</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <meta name="description" content="Drains, fills and bleeds cooling circuits: planned, computed, judged and recorded.">
    @foreach (['atkinson-hyperlegible-next-latin-wght-normal', 'saira-condensed-latin-600-normal'] as $font)
        <link rel="preload" as="font" type="font/woff2" href="{{ Vite::asset("resources/fonts/{$font}.woff2") }}" crossorigin>
    @endforeach
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body data-now="{{ now()->getTimestamp() }}" @isset ($practice) data-speed="{{ $practice->practice->speed }}" @endisset
    data-person="{{ auth()->id() }}"
    data-locks-after="{{ $locksAfter ?? '' }}" @auth data-about="{{ $about }}" data-tick="{{ $tick->of($about) }}" @endauth>
    <a class="absolute left-[-999px] focus:top-2 focus:left-2 focus:z-9 focus:bg-panel focus:p-3 print:hidden" href="#main">To the content</a>
    @auth @include('layouts.bar', ['person' => auth()->user()]) @endauth
    @auth @include('layouts.danger') @endauth
    @isset ($practice) @include('practice.band') @endisset
    <section class="{{ $notice }} [&:not([hidden])]:grid [&:not([hidden])]:gap-2 [&_p,&_li]:flex [&_p,&_li]:flex-wrap [&_p,&_li]:items-center [&_p,&_li]:gap-2.5" data-refused hidden aria-label="Refused after waiting">
        <p>@icon('octagon-x')Not taken when the connection came back. Put it right at its step, or leave it:</p>
        <ul></ul>
        <template>
            <li>
                <b data-typed></b> <span data-said></span> <a>Open the step</a>
                <button type="button" class="button button-quiet">Dealt with</button>
            </li>
        </template>
    </section>
    <p class="{{ $notice }} [&:not([hidden])]:sticky [&:not([hidden])]:top-0 [&:not([hidden])]:z-4 [&:not([hidden])]:flex [&:not([hidden])]:items-center [&:not([hidden])]:gap-2.5" role="status" data-waiting hidden>@icon('cloud-off')<span></span> <a class="ml-auto text-inherit" href="/outbox">Show them</a></p>
    <p class="{{ $notice }}" role="status" data-cut hidden>@icon('cloud-off')No connection: what others write does not show here.</p>
    <p class="{{ $notice }}" role="status" data-stale
        hidden>@icon('users')Others wrote here meanwhile. <a href="">Show it</a>, or go on: it shows when what is being typed is sent.</p>
    @isset ($jumped) @include('layouts.jumped', ['clock' => $jumped, 'person' => auth()->user()]) @endisset
    <div id="told" role="status">@if (session('notice'))<p class="{{ $notice }}">{{ session('notice') }}</p>@endif</div>
    <main id="main" @class(['mx-auto p-5 max-[640px]:p-3 print:max-w-none print:p-0 print:[print-color-adjust:exact]', $wide ? 'max-w-[1640px]' : 'max-w-[1100px]'])>{{ $slot }}</main>
    <p id="word" class="fixed inset-auto m-0 max-w-[340px] border-2 border-ink bg-panel px-3.5 py-2.5 text-ink" popover role="status"></p>
    <dialog id="sheet" class="m-auto max-w-[min(560px,92vw)] border-t-[5px] border-coolant bg-panel p-6 text-ink backdrop:bg-black/50" aria-labelledby="sheet-title">
        <h2 id="sheet-title">Shortcuts</h2>
        <dl class="mt-3.5 mb-5 grid grid-cols-[auto_1fr] gap-x-[18px] gap-y-2 [&>dt]:rounded-[3px] [&>dt]:border [&>dt]:border-rule [&>dt]:px-2.5 [&>dt]:text-center [&>dt]:font-gauge [&>dt]:text-[1.125rem]/[normal] [&>dt]:font-semibold"></dl>
        <form method="dialog"><button class="button">Close</button></form>
    </dialog>
</body>
</html>
