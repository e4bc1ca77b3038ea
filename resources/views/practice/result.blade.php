<x-layout title="How it went" :about="$page->practice->job_id">
    <x-head>
        <h1>{{ $page->exercise->title }}</h1>
        <p>How it went · <a href="/practice">all exercises</a> · <a href="/jobs/{{ $page->practice->job_id }}">its page</a></p>
    </x-head>
    <section class="mb-4 bg-panel p-5" aria-label="What it came to">
        <p @class(['flex items-center gap-3 text-2xl font-semibold', 'text-pass' => $page->wentRight(), 'text-stop' => ! $page->wentRight()])>
            @icon($page->wentRight() ? 'circle-check' : 'octagon-x'){{ $page->wentRight() ? 'As it should be' : 'Not yet' }}
        </p>
        <p class="mt-3 text-lg">{{ $page->exercise->truth }}</p>
        @if ($page->clue() !== '')<p class="mt-2">{{ $page->clue() }}</p>@endif
        <dl class="facts mt-4">
            @foreach ($page->facts() as [$what, $much, $fine])
                <div><dt>{{ $what }}</dt><dd @class(['text-stop' => ! $fine])>{{ $much }}</dd></div>
            @endforeach
        </dl>
    </section>
    <form method="post" action="/practice/{{ $page->exercise->id }}">@csrf<button class="button">Once more</button></form>
</x-layout>
