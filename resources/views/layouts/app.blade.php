@php $theme = in_array(request()->cookie('theme'), ['light', 'dark'], true) ? request()->cookie('theme') : null; @endphp
<!doctype html>
<html lang="en" @if ($theme) data-theme="{{ $theme }}" @endif>
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Aqbel</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    @vite(['resources/css/app.css', 'resources/js/app.js'])
</head>
<body data-now="{{ now()->getTimestamp() }}" data-person="{{ auth()->id() }}">
    <a class="skip" href="#main">To the content</a>
    @auth
        <header class="bar">
            <a href="/" class="wordmark" aria-label="Aqbel, floor">Aqbel</a>
            <nav aria-label="Main">
                @foreach (['/' => ['Floor', 'f'], '/jobs/new' => ['Plan', 'p'], '/circuits' => ['Circuits', 'c'], '/stores' => ['Stores', 's'], '/bench' => ['Bench', 'b'], '/records' => ['Records', 'r']] as $href => [$name, $key])
                    <a href="{{ $href }}" data-key="g {{ $key }}" data-key-label="Go to {{ $name }}" @if (request()->is(ltrim($href, '/') ?: '/')) aria-current="page" @endif>{{ $name }}</a>
                @endforeach
            </nav>
            <div class="bar-end">
                <span class="bar-shop">{{ $shop->name }}, {{ number_format($shop->elevation_m) }} m</span>
                <form method="post" action="/units">@csrf<button class="chip" data-key="g u" data-key-label="Switch units" aria-label="Units: {{ auth()->user()->units->value }}. Switch.">{{ auth()->user()->units->value === 'metric' ? 'L °C' : 'qt °F' }}</button></form>
                <button class="chip icon-chip" type="button" data-theme-switch data-key="g t" data-key-label="Light or dark" aria-label="Light or dark">@icon('sun-moon')</button>
                <button class="chip icon-chip" type="button" data-sheet data-key="?" data-key-label="This sheet" aria-label="Shortcuts">@icon('keyboard')</button>
                <form method="post" action="/sign-out">@csrf<button class="chip person"><b>{{ auth()->user()->name }}</b><small>{{ auth()->user()->roleLabel() }} · sign out</small></button></form>
            </div>
        </header>
    @endauth
    <p class="notice waiting" role="status" data-waiting hidden>@icon('cloud-off')<span></span></p>
    @if (session('notice'))<p class="notice" role="status">{{ session('notice') }}</p>@endif
    <main id="main" @class(['page', 'page-wide' => $wide])>{{ $slot }}</main>
    <dialog id="sheet" aria-labelledby="sheet-title"><h2 id="sheet-title">Shortcuts</h2><dl></dl><form method="dialog"><button class="button">Close</button></form></dialog>
</body>
</html>
