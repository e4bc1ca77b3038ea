<x-layout title="Day plan" about="shop">
    <div id="day" data-live>
    <x-head>
        <h1>Day plan</h1>
        <p>Who goes where next, worked out from what is open now. A vehicle is done after {{ number_format($page->plan->meanMin() / 60.0, 1) }} h on the average.</p>
    </x-head>
    @if ($errors->any())<p class="error error-block" role="alert">@icon('triangle-alert'){{ $errors->first() }}</p>@endif
    @if ($page->isEmpty())
        <x-empty><h2>Nothing is open</h2><p>Plan a job, and its hands and waits are laid out here over people and tools.</p>
            </x-empty>
    @else
        <div class="grid items-start gap-4 lg:grid-cols-2">
            @foreach ($page->people() as $person)
                @continue ($page->of($person) === [])
                <section class="bg-panel p-5" aria-label="{{ $person }}">
                    <h2>{{ $person }}</h2>
                    <ol class="grid gap-2">
                        @foreach ($page->of($person) as $slot)
                            <li class="grid grid-cols-[7.5rem_1fr] gap-x-3 border-b border-rule pb-2">
                                <b class="num">{{ $page->at($slot->fromMin) }}</b>
                                <span><a href="{{ $page->address($slot) }}"
                                    class="inline-flex min-h-11 items-center gap-2 font-semibold"><span class="plate">{{ $page->plates[$slot->job] }}</span> {{ $page->title($slot) }}</a>
                                    <small class="mt-2 block">{{ max(1, round($slot->task->handsMin)) }} min hands{{ $slot->task->waitMin > 0.0 ? ', then a clock until '.$page->at($slot->untilMin()) : '' }}{{ $slot->task->with ? ', with the '.$slot->task->with->label() : '' }}</small></span>
                            </li>
                        @endforeach
                    </ol>
                </section>
            @endforeach
        </div>
        <section class="mt-4 bg-panel p-5" aria-labelledby="order-title">
            <h2 id="order-title">What comes first</h2>
            <p>Drag a vehicle to its place, or use the buttons. What the others wait for it stands beside it.</p>
            <table class="list" data-order>
                <thead><tr><th scope="col">Vehicle</th><th scope="col">Done</th><th scope="col">Order</th></tr></thead>
                <tbody>
                    @foreach ($page->rows() as $row)
                        <tr @if ($row->canMove()) data-moves="/day/{{ $row->id }}" data-place="{{ $row->place }}" @endif>
                            <th scope="row"><span class="inline-flex items-center gap-2">
                                @if ($row->canMove())<span data-grip
                                    class="no-print grid h-11 w-8 cursor-grab touch-none place-items-center"
                                        aria-hidden="true">@icon('grip-vertical')</span>@endif
                                @if ($row->place)<b class="num" aria-label="Place {{ $row->place }}">{{ $row->place }}</b>@endif
                                <span class="plate">{{ $row->plate }}</span></span></th>
                            <td class="num">{{ $row->done }}</td>
                            <td>
                                @if ($row->canMove())
                                    <form method="post" action="/day/{{ $row->id }}" class="flex flex-wrap items-center gap-2">
                                        @csrf
                                        @foreach ($row->moves() as $place => $label)
                                            <button class="button button-quiet" name="place" value="{{ $place }}"
                                                aria-label="{{ $label }}: {{ $row->plate }}">{{ $label }}</button>
                                        @endforeach
                                        <small>{{ $row->costs }}</small>
                                    </form>
                                @else
                                    <small>{{ $row->danger ? 'an engine to be shut off: before everything' : 'a visit, ten minutes' }}</small>
                                @endif
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </section>
    @endif
    </div>
</x-layout>
