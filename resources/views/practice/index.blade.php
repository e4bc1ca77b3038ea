<x-layout title="Practice">
    <x-head>
        <h1>Practice</h1>
        <p>Vehicles that are not there, on the pages of real ones. Nothing of it goes into records, stores or figures ·
            <a href="/">floor</a></p>
    </x-head>
    @error ('exercise')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    <ol class="grid gap-3 md:grid-cols-2" aria-label="Exercises, the easiest first">
        @foreach ($page->exercises() as $exercise)
            <li class="flex flex-col gap-2 bg-panel p-5">
                <p class="flex items-baseline gap-4">
                    <span class="font-gauge text-4xl" aria-hidden="true">{{ $exercise->grade }}</span>
                    <b class="grow text-lg">{{ $exercise->title }}</b>
                    @if ($page->isDone($exercise))<span class="flex items-center gap-1 font-semibold text-pass">@icon('circle-check')done</span>@endif
                </p>
                <p>{{ $exercise->brief }}</p>
                @if ($page->by($exercise) !== [])<p class="help">Done by {{ implode(', ', $page->by($exercise)) }}.</p>@endif
                <div class="mt-auto flex flex-wrap items-center gap-3 pt-2">
                    <form method="post" action="/practice/{{ $exercise->id }}">@csrf<button class="button">{{ $page->isDone($exercise) ? 'Once more' : 'Begin' }}<span class="sr-only">: {{ $exercise->title }}</span></button></form>
                    @if ($open = $page->open($exercise))<a class="py-2.5"
                        href="/jobs/{{ $open->job_id }}">Go on where it stands<span class="sr-only">: {{ $exercise->title }}</span></a>@endif
                </div>
            </li>
        @endforeach
    </ol>
</x-layout>
