<x-layout title="Records">
    <x-head>
        <h1>Records</h1>
        <form method="get" action="/records" class="search">
            <label for="q" class="sr-only">Plate, part, person, month, finding, verdict, mixture or any word</label>
            <input id="q" name="q" type="search" class="sm:min-w-96" value="{{ $list->search }}"
                placeholder="Plate, person, finding, verdict, any word" data-key="/" data-key-label="Search">
            @foreach ($list->filters as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}">@endforeach
            <button class="button button-quiet">Search</button>
        </form>
    </x-head>
    @if ($list->months !== [] && $list->search === '')
        <section class="mb-4 overflow-x-auto bg-panel p-5" aria-labelledby="months-title">
            <h2 id="months-title">Month by month</h2>
            <p class="help"><a href="/records/predictions">How well we predict</a></p>
            <table class="list">
                <thead><tr><th scope="col">Month</th><th scope="col">Jobs</th><th scope="col">Came back</th><th scope="col">Poured</th>
                    <th scope="col">Hours at it</th><th scope="col">Air, predicted and found, each job</th></tr></thead>
                <tbody>
                    @foreach ($list->months as $month)
                        <tr @class(['*:align-middle', 'font-bold' => ($list->filters['month'] ?? '') === $month->month])>
                            <th scope="row"><a class="inline-flex min-h-11 items-center"
                                href="{{ $list->with('month', $month->month) }}">{{ $month->month }}</a></th>
                            <td class="num">{{ $month->jobs }}</td>
                            <td class="num">{{ $month->cameBack }}</td>
                            <td class="num">{{ $volume($month->inMl) }}</td>
                            <td class="num">{{ number_format($month->hours, 1) }}</td>
                            <td class="num">{{ $month->airPredictedMl === null ? '–' : $volume($month->airPredictedMl) }} · {{ $month->airFoundMl === null ? '–' : $volume($month->airFoundMl) }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <p class="mt-3 flex flex-wrap gap-2">
                @foreach ($kinds as $kind)
                    <a @class(['button button-quiet', 'font-bold' => ($list->filters['kind'] ?? '') === $kind->value])
                        href="{{ $list->with('kind', $kind->value) }}">{{ $kind->label() }}</a>
                @endforeach
                <a @class(['button button-quiet', 'font-bold' => isset($list->filters['back'])])
                    href="{{ $list->with('back', '1') }}">Came back</a>
            </p>
        </section>
    @endif
    @if ($list->page->isNotEmpty())
        <div class="overflow-x-auto" tabindex="0" role="group" aria-label="Records">
            <table class="list">
                <thead><tr>
                    <th scope="col">Job</th><th scope="col">Vehicle</th><th scope="col">Work</th><th scope="col">Signed</th>
                        <th scope="col">Planned by</th>
                </tr></thead>
                <tbody>
                    @foreach ($list->page as $job)
                        <tr>
                            <th scope="row"><a href="/jobs/{{ $job->id }}/record">{{ App\Models\Job::numbered($job->id) }}</a></th>
                            <td><span class="plate">{{ $job->plate }}</span> {{ $job->vehicle }}
                                @if ($list->search !== '')@foreach (App\Record\RecordSearch::why($job->text, $list->search) as $why)<small class="block">{{ $why }}</small>@endforeach @endif</td>
                            <td>{{ Aqbel\Core\Plan\JobKind::from($job->kind)->label() }}</td>
                            <td>{{ $job->signed_at === null ? 'given up '.substr($job->abandoned_at, 0, 10) : substr($job->signed_at, 0, 16) }}
                                @if ($job->came_back)<small class="block tone-stop">came
                                    back</small>@elseif ($job->closed_at)<small class="block tone-pass">closed</small>@elseif ($job->followed_at)<small class="block">followed</small>@endif</td>
                            <td>{{ $job->person }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        @include('layouts.pages', ['paginator' => $list->page])
    @elseif ($list->search === '' && $list->filters === [])
        <x-empty>
            <h2>No job is signed off yet</h2>
            <p>A job comes here when it is signed. Its sheet can be printed at any time from the run.</p>
        </x-empty>
    @else
        <x-empty><h2>Nothing found</h2><p>Try fewer words, or the beginning of one: a plate, a name, a part, what was found.
            <a href="/records">All records</a></p></x-empty>
    @endif
    <section class="mt-8 bg-panel p-5" aria-labelledby="leave-title">
        <h2 id="leave-title">As tables, and from elsewhere</h2>
        <p class="flex flex-wrap gap-2">
            @foreach (['jobs' => 'Jobs', 'visits' => 'Visits', 'stock' => 'Stock movements', 'waste' => 'Waste by month'] as $table => $name)
                <a class="button button-quiet" href="/records/{{ $table }}.csv">{{ $name }}</a>
            @endforeach
        </p>
        @if ($mayImport)
            <form method="post" action="/records/import" enctype="multipart/form-data" class="mt-4 flex flex-wrap items-end gap-2"
                data-once>
                @csrf
                <div class="field min-w-0 max-w-full">
                    <label for="job-file">A job of another shop, written there under “Data”</label>
                    <input id="job-file" class="max-w-full" type="file" name="file" accept="application/json,.json">
                    @error ('file')<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror
                </div>
                <button class="button button-quiet">Bring it in</button>
            </form>
        @endif
    </section>
</x-layout>
