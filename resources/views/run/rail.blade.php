<aside class="rail" id="run-rail" data-live aria-label="Stages and steps">
    <p class="rail-job">
        <b>{{ $page->job->vehicle->plate }}</b> {{ $page->job->vehicle->name }}
        <small>{{ $page->job->number() }} · {{ $page->job->kind->label() }} · <a href="/jobs/{{ $page->job->id }}/record">record so far</a> ·
            <a href="/jobs/{{ $page->job->id }}/manage">change, hand over, rest</a></small>
    </p>
    <ol class="rail-stages">
        @foreach ($page->rail()->stages() as $rail)
            <li @class(['stage', 'is-done' => $rail->done === $rail->all, 'is-current' => $rail->current])>
                <span class="stage-name"><i>{{ $loop->index }}</i>{{ $rail->stage->label() }}</span>
                @if ($rail->current)
                    <ol class="stage-steps">
                        @foreach ($rail->steps as $step)
                            <li><a href="{{ $step->href }}" @class(['is-done' => $step->done, 'is-passed' => $step->passed])
                                @if ($step->current) aria-current="step" @endif>{{ $step->title }}</a></li>
                        @endforeach
                    </ol>
                @else
                    <a class="stage-link" href="{{ $rail->href }}">
                        <span class="sr-only">{{ $rail->stage->label() }}:</span> {{ $rail->done }}/{{ $rail->all }}<span class="sr-only"> done</span>
                    </a>
                @endif
            </li>
        @endforeach
    </ol>
</aside>
