@props(['table'])
<details class="ledger" id="ledger" data-live>
    <summary>
        <span class="sr-only">Ledger in full:</span>
        @foreach ($table->summary() as [$name, $value])<span>{{ $name }} <b>{{ $value }}</b></span>@endforeach
    </summary>
    <table>
        <thead><tr>
            <th scope="col">What</th><th scope="col">Volume</th><th scope="col">±</th>
            <th scope="col">Content then</th><th scope="col">Glycol then</th><th scope="col">Void then</th>
        </tr></thead>
        <tbody>
            @forelse ($table->lines() as $row)
                <tr>@foreach ($row as $cell)<td>{{ $cell }}</td>@endforeach</tr>
            @empty
                <tr><td colspan="6">Nothing has gone in or out yet. The first line is the content found.</td></tr>
            @endforelse
            @foreach ($table->totals() as $row)
                <tr @class(['ledger-total' => $loop->first])>@foreach ($row as $cell)<td>{{ $cell }}</td>@endforeach</tr>
            @endforeach
        </tbody>
    </table>
</details>
