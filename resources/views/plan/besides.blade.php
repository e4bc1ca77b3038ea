<div hidden data-brings="{{ json_encode($besides->brings()) }}"></div>
@if ($besides->worth() !== [])
    <section class="plan-worth" aria-labelledby="worth-title">
        <h2 id="worth-title">Which drains are worth it</h2>
        <table class="list">
            <thead><tr>
                <th scope="col">Point</th><th scope="col">Lets out, on top</th>
                <th scope="col">Hands</th><th scope="col">Verdict</th>
            </tr></thead>
            <tbody>
                @foreach ($besides->worth() as $row)
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
<section class="schools" aria-labelledby="schools-title">
    <h2 id="schools-title">Which way, for this circuit</h2>
    @if ($besides->refused !== '')<p class="error" role="alert">@icon('triangle-alert'){{ $besides->refused }}</p>@endif
    @if ($besides->together() !== '')<p class="font-semibold">{{ $besides->together() }}</p>@endif
    <p class="recommended">{{ $besides->recommendation() }}</p>
    @foreach ($besides->schools() as $rows)
        @if ($loop->index === 1)<details><summary class="button button-quiet button-wide">More ways…</summary>@endif
        <table>
            <thead><tr>
                <th scope="col">Way</th><th scope="col">Air left</th>
                <th scope="col">Hands</th><th scope="col">Total</th>
            </tr></thead>
            <tbody>
                @foreach ($rows as $row)
                    <tr @class(['is-recommended' => $row->recommended])>
                        <th scope="row">
                            @if ($row->runs && ! $row->chosen)
                                <button type="button" class="school-run" data-school="{{ $row->id }}">
                                    <span class="sr-only">Run </span>{{ $row->label }}</button>
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
    @if ($besides->combined() !== [])
        <details><summary class="button button-quiet button-wide">Put together…</summary>
            <table>
                <thead><tr><th scope="col">Way</th><th scope="col">Air left</th><th scope="col">Hands</th><th scope="col">Total</th></tr></thead>
                <tbody>
                    @foreach ($besides->combined() as $row)
                        <tr>
                            <th scope="row">
                                @if ($row->chosen){{ $row->label }}@icon('circle-check')
                                @else<button type="button" class="school-run" data-school="{{ $row->school }}" data-warm-up="{{ $row->warmUp }}" data-end="{{ $row->end }}" data-aids="{{ implode(' ', $row->aids) }}"><span class="sr-only">Run </span>{{ $row->label }}</button>@endif
                                <small>{{ $row->chosen ? 'this plan; '.$row->about : $row->about }}</small>
                            </th>
                            <td>{{ $row->air }}</td><td>{{ $row->hands }}</td><td>{{ $row->total }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </details>
    @endif
    <p class="help">{{ $besides->cheapest() }}</p>
    @foreach ($besides->never() as [$point, $how])<p class="help"><b>{{ $point }}</b>: {{ $how }}</p>@endforeach
    @foreach ($besides->misfits() as $misfit)<p class="help">{{ $misfit }}</p>@endforeach
    <p class="help">{{ $besides->outlook() }}</p>
</section>
