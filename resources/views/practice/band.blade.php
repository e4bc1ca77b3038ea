{{-- Above every page of a job that somebody practises on. --}}
<section id="practice" data-live class="border-b-4 border-ink bg-panel" aria-label="Practice">
    <div class="mx-auto flex flex-wrap items-center gap-x-6 gap-y-2 px-5 py-2">
        <p class="grow"><b>Practice: {{ $practice->title() }}.</b> {{ $practice->brief() }}</p>
        <form method="post" action="/jobs/{{ $practice->practice->job_id }}/practice/clock" class="flex items-center gap-2">
            @csrf
            <span>Its clock</span>
            @foreach ($practice->speeds() as $speed => $isNow)
                <button @class(['button', 'button-quiet' => ! $isNow, 'bg-ink text-panel' => $isNow]) name="speed" value="{{ $speed }}"
                    @if ($isNow) aria-pressed="true" @endif>×{{ $speed }}</button>
            @endforeach
            @if ($practice->waitsUntil() !== null)<button class="button button-quiet" name="to_end"
                value="1">To the end of the wait</button>@endif
        </form>
        @if ($practice->practice->came_to !== null)
            <a class="button" href="/jobs/{{ $practice->practice->job_id }}/practice">How it went</a>
        @else
            <form method="post" action="/jobs/{{ $practice->practice->job_id }}/practice/end">@csrf<button @class(['button', 'button-quiet' => ! $practice->isOver(), 'button-go' => $practice->isOver()])>{{ $practice->isOver() ? 'Done: how did it go?' : 'End it' }}</button></form>
        @endif
    </div>
</section>
