@foreach ($visits as $visit)
    <li>
        <a href="/jobs/{{ $visit->job_id }}/visits?visit={{ $visit->id }}"
            class="flex min-h-12 flex-wrap items-center gap-x-4 gap-y-1 bg-panel px-3 py-2 text-ink no-underline">
            <span class="plate">{{ $visit->job->vehicle->plate }}</span>
            <b>Cold level</b>
            <span>{{ $visit->job->vehicle->name }}@if ($visit->watch !== '') · {{ $visit->watch }}@endif</span>
            @if ($visit->job->vehicle->inHand)<x-state tag="span" tone="wait">with {{ $visit->job->vehicle->inHand->number() }}</x-state>
            @else<x-state tag="span"
                :tone="$visit->isOverdue() ? 'stop' : 'wait'">{{ $visit->isOverdue() ? 'overdue since' : 'due' }} {{ $visit->due_on->isToday() ? 'today' : $visit->due_on->format('Y-m-d') }}</x-state>@endif
            @if ($visit->holder)<small>{{ $visit->holder->name }}</small>@endif
        </a>
    </li>
@endforeach
