<x-layout :title="$sheet->circuit->name">
    <x-head>
        <h1>{{ $sheet->circuit->name }}</h1>
        <p>Revision {{ $sheet->model->revision }} · {{ $sheet->circuit->facts->source }}</p>
        <span class="ml-auto flex flex-wrap gap-2">
            <a class="button button-quiet" href="/circuits/{{ $sheet->model->id }}/export">Export</a>
            <a class="button button-quiet" href="/circuits/{{ $sheet->model->id }}/elevation.svg">SVG</a>
            <a class="button button-quiet" href="/circuits/{{ $sheet->model->id }}/learned">What jobs have shown</a>
            <a class="button button-quiet" href="/circuits/{{ $sheet->model->id }}/add">Add to it</a>
            @if ($lead)
                <a class="button button-quiet" href="/circuits/new?from={{ $sheet->model->id }}"
                    data-key="n" data-key-label="New circuit from this layout">New from this layout</a>
                <a class="button" href="/circuits/{{ $sheet->model->id }}/edit" data-key="e" data-key-label="Edit">Edit</a>
            @endif
        </span>
    </x-head>
    @error ('keep')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    @if ($sheet->model->waitsForALook())
        <section class="mb-4 border-l-8 border-wait bg-panel p-4" aria-labelledby="added-title">
            <h2 id="added-title">Added by {{ $sheet->model->adder->name }}, and not looked at by a lead yet</h2>
            <ul>@foreach ($sheet->added() as $change)
                <li><b>{{ $change->where }}</b>: {{ $change->was }} → {{ $change->is }}</li>@endforeach</ul>
            @if ($lead)
                <form method="post" action="/circuits/{{ $sheet->model->id }}/look" class="mt-3 flex flex-wrap gap-3">
                    @csrf
                    <button class="button" name="keep" value="1">Keep it</button>
                    <button class="button button-quiet" name="keep" value="0">Take it back</button>
                </form>
            @endif
        </section>
    @endif
    @if ($sheet->inherited())
        <p class="mb-4 flex items-start gap-3 bg-panel p-4">@icon('eye')<span><b>Came with the layout, and nobody has looked at it for this vehicle:</b>
            {{ $sheet->inherited()->said() }}. {{ $lead ? 'Edit it, and say what is right.' : '' }}</span></p>
    @endif
    <div class="grid items-start gap-5 min-[901px]:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] [&>div]:grid [&>div]:gap-[18px]">
        <x-elevation :picture="$sheet->picture()"/>
        <div>
            <dl class="facts bg-panel px-4 py-3">
                @foreach ($sheet->facts() as [$name, $value])<div><dt>{{ $name }}</dt><dd>{{ $value }}</dd></div>@endforeach
            </dl>
            <table class="list">
                <thead><tr><th scope="col">Point</th><th scope="col">Access and tool</th><th scope="col">Torque, washer</th></tr></thead>
                <tbody>
                    @foreach ($sheet->points() as $point)
                        <tr>
                            <th scope="row">{{ $point['point'] }}</th>
                            <td>{{ $point['access'] }}@if ($point['tool'] !== '') <small>{{ $point['tool'] }}</small>@endif</td>
                            <td>{{ $point['torque'] }}@if ($point['washer'] !== '') <small>{{ $point['washer'] }}</small>@endif</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <details class="my-4" id="parts">
                <summary class="py-2.5">What each part holds, and what empties it</summary>
                <table class="list">
                    <thead><tr><th scope="col">Part</th><th scope="col">Holds</th><th scope="col">Emptied by</th></tr></thead>
                    <tbody>
                        @foreach ($parts as $part)
                            <tr>
                                <th scope="row">{{ $part->label }}</th><td class="num">{{ $part->holds }}</td>
                                <td>{{ $part->emptiedBy }}@if ($part->lastTime !== '') <small>{{ $part->lastTime }}</small>@endif
                                    @foreach ($part->photos as $photo)<a href="{{ $photo }}">photograph</a> @endforeach</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
                <p class="help">The newest photograph of each point goes along where the circuit is exported, small: look that nothing else
                    is on it.</p>
            </details>
            @foreach ([['Opening', 'Uses up', 'Joint', $sheet->openings()], ['Cover', 'Off and on', 'Back', $sheet->covers()]] as [$a, $b, $c, $rows])
                @continue ($rows === [])
                <table class="list">
                    <thead><tr><th scope="col">{{ $a }}</th><th scope="col">{{ $b }}</th><th scope="col">{{ $c }}</th></tr></thead>
                    <tbody>
                        @foreach ($rows as [$name, $what, $how])
                            <tr><th scope="row">{{ $name }}</th><td>{{ $what }}</td><td>{{ $how }}</td></tr>
                        @endforeach
                    </tbody>
                </table>
            @endforeach
        </div>
    </div>
</x-layout>
