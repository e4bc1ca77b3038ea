<x-layout title="Day plan" about="shop">
    <div id="day" data-live>
    <header class="page-head">
        <h1>Day plan</h1>
        <p>Who goes where next, worked out from what is open now. A vehicle is done after {{ number_format($page->plan->meanMin() / 60.0, 1) }} h on the average.</p>
    </header>
    @if ($page->isEmpty())
        <section class="empty"><h2>Nothing is open</h2><p>Plan a job, and its hands and waits are laid out here over people and tools.</p></section>
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
                                <span><a href="{{ $page->address($slot) }}" class="inline-flex min-h-11 items-center gap-2 font-semibold"><span class="plate">{{ $page->plates[$slot->job] }}</span> {{ $page->title($slot) }}</a>
                                    <small class="mt-2 block">{{ max(1, round($slot->task->handsMin)) }} min hands{{ $slot->task->waitMin > 0.0 ? ', then a clock until '.$page->at($slot->untilMin()) : '' }}{{ $slot->task->with ? ', with the '.$slot->task->with->label() : '' }}</small></span>
                            </li>
                        @endforeach
                    </ol>
                </section>
            @endforeach
        </div>
        <section class="mt-4 bg-panel p-5" aria-labelledby="order-title">
            <h2 id="order-title">What comes first</h2>
            <table class="list">
                <thead><tr><th scope="col">Vehicle</th><th scope="col">Done</th><th scope="col">Order</th></tr></thead>
                <tbody>
                    @foreach ($page->rows() as $row)
                        <tr>
                            <th scope="row"><span class="plate">{{ $row['plate'] }}</span></th>
                            <td class="num">{{ $row['done'] }}</td>
                            <td>
                                @if (is_numeric($row['id']))
                                    <form method="post" action="/day/{{ $row['id'] }}" class="flex flex-wrap items-center gap-2">
                                        @csrf
                                        <button class="button button-quiet" name="first" value="{{ $row['first'] ? '0' : '1' }}" aria-label="{{ $row['first'] ? 'Let the plan decide about' : 'Put first' }} {{ $row['plate'] }}">{{ $row['first'] ? 'Let the plan decide' : 'Put first' }}</button>
                                        <small>{{ $row['costs'] }}</small>
                                    </form>
                                @else
                                    <small>a visit, ten minutes</small>
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
