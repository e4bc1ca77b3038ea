<x-layout title="New circuit">
    <header class="page-head">
        <h1>New circuit</h1>
        <p>Which of these is most like it? What differs is asked next.</p>
    </header>
    <ul class="cards xl:grid-cols-4">
        @foreach ($layouts as $layout)
            <li><a href="/circuits/make/{{ $layout->id }}{{ $for === '' ? '' : '?for='.urlencode($for) }}">
                <span class="card-picture">
                    <img class="of-light" src="/circuits/make/{{ $layout->id }}.svg" alt="" loading="lazy" width="1040" height="720">
                    <img class="of-dark" src="/circuits/make/{{ $layout->id }}.svg?theme=dark" alt="" loading="lazy" width="1040" height="720">
                </span>
                <b>{{ $layout->title }}</b>
            </a></li>
        @endforeach
    </ul>
</x-layout>
