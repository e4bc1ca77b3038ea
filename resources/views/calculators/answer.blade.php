<h2>Result</h2>
@foreach ($problems as $field => $problem)
    <p class="error">@icon('triangle-alert')<span><b>{{ $field }}</b>: {{ $problem }}</span></p>
@endforeach
@if ($answer !== null)
    <table class="list [&_:is(th,td)]:align-baseline [&_td]:font-gauge [&_td]:text-xl/[normal] [&_td]:font-semibold">
        <thead><tr>
            @if ($answer->isTableOfUnits())<th scope="col">Unit</th><th scope="col" colspan="2">Value</th>
            @else<th scope="col">What</th><th scope="col">Metric</th><th scope="col">US</th>@endif
        </tr></thead>
        <tbody>
            @foreach ($answer->rows() as $row)
                <tr>
                    <th scope="row">{{ $row[0] }}</th>
                    @if (count($row) === 2)<td colspan="2">{{ $row[1] }}</td>@else<td>{{ $row[1] }}</td><td>{{ $row[2] }}</td>@endif
                </tr>
            @endforeach
            @if ($answer->verdict !== '')<tr><th scope="row">Verdict</th><td colspan="2">{{ $answer->verdict }}</td></tr>@endif
        </tbody>
    </table>
@endif
<p class="help formula"><b>{{ $calculator->formula }}</b></p>
<p class="help source">{{ $calculator->source }}</p>
