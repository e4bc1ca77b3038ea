<!doctype html>
<html lang="en" @if ($theme !== null) data-theme="{{ $theme }}" @endif>
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Aqbel</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <meta name="description" content="Drains, fills and bleeds cooling circuits: planned, computed, judged and recorded.">
    @foreach ([
        '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
        '@fontsource/saira-condensed/files/saira-condensed-latin-600-normal.woff2',
    ] as $font)
        <link rel="preload" as="font" type="font/woff2" href="{{ Vite::asset("node_modules/{$font}") }}" crossorigin>
    @endforeach
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body data-now="{{ now()->getTimestamp() }}" @isset ($practice) data-speed="{{ $practice->practice->speed }}" @endisset
    data-person="{{ auth()->id() }}"
    data-locks-after="{{ $locksAfter ?? '' }}" @auth data-about="{{ $about }}" data-tick="{{ $tick->of($about) }}" @endauth>
    <a class="skip" href="#main">To the content</a>
    @auth @include('layouts.bar', ['person' => auth()->user()]) @endauth
    @auth @include('layouts.danger') @endauth
    @isset ($practice) @include('practice.band') @endisset
    <section class="notice refused" data-refused hidden aria-label="Refused after waiting">
        <p>@icon('octagon-x')Not taken when the connection came back. Put it right at its step, or leave it:</p>
        <ul></ul>
        <template>
            <li>
                <b data-typed></b> <span data-said></span> <a>Open the step</a>
                <button type="button" class="button button-quiet">Dealt with</button>
            </li>
        </template>
    </section>
    <p class="notice waiting" role="status" data-waiting hidden>@icon('cloud-off')<span></span> <a href="/outbox">Show them</a></p>
    <p class="notice" role="status" data-cut hidden>@icon('cloud-off')No connection: what others write does not show here.</p>
    <p class="notice" role="status" data-stale
        hidden>@icon('users')Others wrote here meanwhile. <a href="">Show it</a>, or go on: it shows when what is being typed is sent.</p>
    @isset ($jumped) @include('layouts.jumped', ['clock' => $jumped, 'person' => auth()->user()]) @endisset
    @if (session('notice'))<p class="notice" role="status">{{ session('notice') }}</p>@endif
    <main id="main" @class(['page', 'page-wide' => $wide])>{{ $slot }}</main>
    <p id="word" class="word-said" popover role="status"></p>
    <dialog id="sheet" aria-labelledby="sheet-title">
        <h2 id="sheet-title">Shortcuts</h2>
        <dl></dl>
        <form method="dialog"><button class="button">Close</button></form>
    </dialog>
</body>
</html>
