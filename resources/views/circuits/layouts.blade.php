<x-layout title="New circuit">
    <x-head>
        <h1>New circuit</h1>
        <p>Which of these is most like it? What differs is asked next.</p>
    </x-head>
    <x-cards class="xl:grid-cols-4">
        @foreach ($layouts as $layout)
            <x-card href="/circuits/make/{{ $layout->id }}{{ $for === '' ? '' : '?for='.urlencode($for) }}"
                picture="/circuits/make/{{ $layout->id }}.svg" :title="$layout->title"/>
        @endforeach
    </x-cards>
</x-layout>
