<section class="plan-numbers" aria-label="Predicted">
    <x-level :level="new App\Run\Level($outcome->figure(), $outcome->units)"/>
    <dl class="facts">
        @foreach ($outcome->facts() as [$name, $about, $value])
            <div><dt>{{ $name }} @if ($about !== '')<small>{{ $about }}</small>@endif</dt><dd>{{ $value }}</dd></div>
        @endforeach
    </dl>
</section>
<section class="plan-notes" aria-label="What this job depends on" data-recommended="{{ $outcome->recommendedDrains() }}">
    @foreach ($outcome->notes() as $note)
        <p @class(['plan-note', "tone-{$note->tone}" => $note->tone !== ''])>@icon($note->icon)<span><b>{{ $note->bold }}</b> {{ $note->text }}</span></p>
    @endforeach
</section>
@if ($outcome->worth() !== [])
    <section class="plan-worth" aria-labelledby="worth-title">
        <h2 id="worth-title">Which drains are worth it</h2>
        <table class="list">
            <thead><tr>
                <th scope="col">Point</th><th scope="col">Lets out, on top</th>
                <th scope="col">Hands</th><th scope="col">Verdict</th>
            </tr></thead>
            <tbody>
                @foreach ($outcome->worth() as $row)
                    <tr @class(['is-chosen' => $row->chosen])>
                        <th scope="row">{{ $row->label }}@if ($row->covers !== '') <small>{{ $row->covers }}</small>@endif</th>
                        <td>{{ $row->volume }}</td>
                        <td>{{ $row->hands }}</td>
                        <td><b>{{ $row->verdict }}</b>@if ($row->keepsDry !== '') <small>{{ $row->keepsDry }}</small>@endif</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </section>
@endif
<section class="plan-hand" aria-label="To have at hand">
    <div>
        <h2>Comes off</h2>
        @forelse ($outcome->covers() as [$cover, $about])<p>{{ $cover }} <small>{{ $about }}</small></p>@empty<p class="help">Nothing.</p>@endforelse
    </div>
    <div>
        <h2>Parts</h2>
        @forelse ($outcome->parts() as $part)<p>{{ $part }}</p>@empty<p class="help">None from the circuit’s own data.</p>@endforelse
    </div>
    <div class="shopping">
        <h2>Coolant to buy</h2>
        @if ($outcome->bleedsOnly())
            <p>A litre of mixed coolant for topping up, {{ $outcome->family() }}.</p>
        @else
            @foreach ($outcome->ways() as $way)
                <div @class(['shopping-way', 'is-first' => $loop->first])>
                    <p><b>{{ $way->title }}</b> @if ($way->offered)<b class="price">{{ $way->price }}</b>@endif</p>
                    @if ($way->offered)
                        <p>{{ $way->buy }}</p>
                        <p class="help">{{ $way->help }}</p>
                    @else
                        <p class="help">Nothing of this base and family on the price list. <a href="/stores">Stores</a></p>
                    @endif
                </div>
            @endforeach
            <p class="help">
                With {{ $outcome->sparePercent() }} % more than the predicted need.
                Premix cannot be mis-mixed; concentrate is cheaper.
            </p>
        @endif
    </div>
</section>
<section class="schools" aria-labelledby="schools-title">
    <h2 id="schools-title">Which school, for this circuit</h2>
    <p class="recommended">{{ $outcome->recommendation() }}</p>
    @foreach ($outcome->schools() as $rows)
        @if ($loop->index === 1)<details><summary class="button button-quiet button-wide">More schools…</summary>@endif
        <table>
            <thead><tr>
                <th scope="col">School</th><th scope="col">Air left</th>
                <th scope="col">Hands</th><th scope="col">Total</th>
            </tr></thead>
            <tbody>
                @foreach ($rows as $row)
                    <tr @class(['is-recommended' => $row->recommended])>
                        <th scope="row">
                            @if ($row->runs && ! $row->chosen)
                                <button type="button" class="school-run" data-school="{{ $row->id }}" aria-label="Run {{ $row->label }}">
                                    {{ $row->label }}</button>
                            @else
                                {{ $row->label }}@if ($row->chosen)@icon('circle-check')@endif
                            @endif
                            <small>{{ implode(', ', array_filter([$row->chosen ? 'this plan' : '', $row->cycles])) }}</small>
                        </th>
                        <td>{{ $row->air }}</td>
                        <td>{{ $row->hands }}</td>
                        <td>{{ $row->total }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($loop->index > 0 && $loop->last)</details>@endif
    @endforeach
    <p class="help">{{ $outcome->cheapest() }}</p>
    @foreach ($outcome->never() as [$point, $how])<p class="help"><b>{{ $point }}</b>: {{ $how }}</p>@endforeach
    @foreach ($outcome->misfits() as $misfit)<p class="help">{{ $misfit }}</p>@endforeach
    <p class="help">{{ $outcome->outlook() }}</p>
</section>
<x-elevation :picture="$outcome->picture()"/>
<section class="plan-steps" aria-labelledby="steps-title">
    <h2 id="steps-title">The sequence <small>{{ $outcome->times()[0] }} hands on, {{ $outcome->times()[1] }} waiting</small></h2>
    <ol class="stage-list">
        @foreach ($outcome->stages() as $stage)
            <li><span class="stage-name"><i>{{ $stage['number'] }}</i>{{ $stage['name'] }}</span><span>{{ $stage['steps'] }}</span></li>
        @endforeach
    </ol>
</section>
