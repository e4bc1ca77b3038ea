{{-- A plain loop: sixty components would cost more than all else on the floor. --}}
@foreach ($jobs as $job)
    <li @class(['floor-job', 'is-danger' => $job->danger])>
        <a href="/jobs/{{ $job->id }}">
            <span class="plate">{{ $job->plate }}</span>
            <span class="floor-vehicle">{{ $job->vehicle }} <small>{{ $job->work }} · {{ $job->holder }}</small></span>
            <span class="floor-step">
                <span><small>{{ $job->summary->stage->label() }}</small>{{ $job->words->title }}</span>
                @if ($job->words->verdict !== '')<small class="tone-{{ $job->tone() }}">{{ $job->words->verdict }}</small>@endif
            </span>
            <span class="floor-progress">
                {{ $job->summary->done }}/{{ $job->summary->steps }}<span class="sr-only"> steps done</span>
            </span>
            @if ($job->secondsLeft() > 0)
                <span class="floor-clock" data-clock data-until="{{ $job->waitsUntil() }}" data-since="{{ $job->since() }}">
                    <b class="clock-time">{{ $job->countdown() }}</b><small>{{ $job->rests() ? 'rests'.($job->pointsOpen() === 0 ? '' : ", {$job->pointsOpen()} open") : $job->words->clock }}</small>
                </span>
            @else
                <span class="floor-clock is-now"><b>now</b><small>hands needed</small></span>
            @endif
        </a>
    </li>
@endforeach
