{{-- A plain loop: sixty components would cost more than all else on the floor. --}}
@php
    $row = 'grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 gap-y-1.5 border-b border-rule px-3 py-2.5 no-underline min-[561px]:grid-cols-[110px_1fr_120px] '
        .'min-[561px]:gap-4 min-[561px]:px-4 min-[561px]:py-2 min-[1181px]:grid-cols-[120px_minmax(180px,1fr)_minmax(220px,1.3fr)_64px_150px]';
    $clock = 'text-right leading-[1.1] max-[560px]:col-start-2 max-[560px]:row-start-1 min-[561px]:max-[1180px]:col-start-3 min-[561px]:max-[1180px]:row-[1/3]';
@endphp
@foreach ($jobs as $job)
    <li>
        <a href="/jobs/{{ $job->id }}"
            @class([$row, 'min-h-28 bg-alarm text-xl/[1.45] text-white [&_small]:text-white' => $job->danger, 'min-h-18 text-ink' => ! $job->danger, $ground => ! $job->danger])>
            <span @class(['plate justify-self-start', 'bg-white text-on-plate' => $job->danger])>{{ $job->plate }}</span>
            <span class="max-[560px]:col-span-full max-[560px]:row-start-2">{{ $job->vehicle }} <small class="block">{{ $job->work }} · {{ $job->holder }}</small></span>
            <span class="max-[560px]:col-span-full max-[560px]:row-start-3 min-[561px]:max-[1180px]:col-[1/3] min-[561px]:max-[1180px]:row-start-2">
                <span><small class="block">{{ $job->summary->stage->label() }}</small>{{ $job->words->title }}</span>
                @if ($job->words->verdict !== '')<small class="block tone-{{ $job->tone() }}">{{ $job->words->verdict }}</small>@endif
            </span>
            <span @class(['hidden min-[1181px]:block', 'text-quiet' => ! $job->danger])>
                {{ $job->summary->done }}/{{ $job->summary->steps }}<span class="sr-only"> steps done</span>
            </span>
            @if ($job->secondsLeft() > 0)
                <span class="{{ $clock }}" data-clock data-until="{{ $job->waitsUntil() }}" data-since="{{ $job->since() }}">
                    <b class="clock-time block font-gauge text-[2rem]/none font-semibold">{{ $job->countdown() }}</b><small class="text-[0.875rem] max-[560px]:inline-block max-[560px]:max-w-[150px]">{{ $job->rests() ? 'rests'.($job->pointsOpen() === 0 ? '' : ", {$job->pointsOpen()} open") : $job->words->clock }}</small>
                </span>
            @else
                <span class="{{ $clock }}"><b class="inline-block rounded-[3px] bg-go px-3 pt-0.5 pb-1 font-gauge text-[2rem]/none font-semibold text-on-go">now</b><small class="block text-[0.875rem]">hands needed</small></span>
            @endif
        </a>
    </li>
@endforeach
