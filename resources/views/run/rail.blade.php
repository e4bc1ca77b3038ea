<aside class="[grid-area:rail]" id="run-rail" data-live aria-label="Stages and steps">
    <p class="mb-1.5 leading-[1.3] max-[1180px]:flex max-[1180px]:flex-wrap max-[1180px]:items-baseline max-[1180px]:gap-x-3 max-[1180px]:gap-y-1 min-[1181px]:mb-3">
        <b class="block font-gauge text-[1.25rem]/none font-semibold tracking-[0.03em]">{{ $page->job->vehicle->plate }}</b> {{ $page->job->vehicle->name }}
        <small class="block min-[1181px]:mt-1">{{ $page->job->number() }} · {{ $page->job->kind->label() }} · <a href="/jobs/{{ $page->job->id }}/record">record so far</a> ·
            <a href="/jobs/{{ $page->job->id }}/manage">change, hand over, rest</a></small>
    </p>
    <ol class="rail-stages max-[1180px]:flex max-[1180px]:gap-0.5 max-[1180px]:overflow-x-auto">
        @foreach ($page->rail()->stages() as $rail)
            <li @class(['stage relative grid grid-cols-[1fr_auto] items-center border-rule max-[1180px]:block max-[1180px]:flex-none max-[1180px]:border-b-4 min-[1181px]:border-t',
                'is-current max-[1180px]:border-level' => $rail->current, 'max-[1180px]:border-coolant-deep' => ! $rail->current && $rail->isDone()])>
                <x-stage :number="$loop->index" :done="$rail->isDone()" :current="$rail->current"
                    :class="$rail->current ? 'font-bold max-[1180px]:px-2.5' : 'font-medium max-[1180px]:gap-0 max-[1180px]:px-[9px] max-[1180px]:text-[0px]'">{{ $rail->stage->label() }}</x-stage>
                @if ($rail->current)
                    <ol class="col-span-full mb-2 ml-3 border-l-3 border-level max-[1180px]:hidden">
                        @foreach ($rail->steps as $step)
                            <li><a href="{{ $step->href }}"
                                @class(['flex min-h-11 items-center px-2.5 py-1 text-[1rem]/[1.2] aria-[current]:bg-panel aria-[current]:font-bold',
                                'text-quiet' => $step->done, 'text-ink' => ! $step->done, 'line-through' => $step->done && ! $step->passed, 'decoration-dashed' => $step->passed, 'no-underline' => ! $step->done && ! $step->passed])
                                @if ($step->current) aria-current="step" @endif>{{ $step->title }}</a></li>
                        @endforeach
                    </ol>
                @else
                    <a class="grid min-h-11 min-w-11 place-items-center text-[0.9375rem] text-quiet max-[1180px]:absolute max-[1180px]:inset-0 max-[1180px]:text-[0px]" href="{{ $rail->href }}">
                        <span class="sr-only">{{ $rail->stage->label() }}:</span> {{ $rail->done }}/{{ $rail->all }}<span class="sr-only"> done</span>
                    </a>
                @endif
            </li>
        @endforeach
    </ol>
</aside>
