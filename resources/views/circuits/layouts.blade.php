<x-layout title="New circuit">
    <header class="page-head">
        <h1>New circuit</h1>
        <p>Which of these is most like it? What differs is asked next.</p>
    </header>
    <ul class="cards xl:grid-cols-4">
        @foreach ($layouts as $layout)
            <li><a href="/circuits/make/{{ $layout->id }}{{ $for === '' ? '' : '?for='.urlencode($for) }}">
                <x-outline src="/circuits/make/{{ $layout->id }}.svg"/>
                <b>{{ $layout->title }}</b>
            </a></li>
        @endforeach
    </ul>
</x-layout>
