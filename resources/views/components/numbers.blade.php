@props(['table'])
<div class="numbers" role="region" aria-label="{{ $table->caption }}" tabindex="0">
    <table>
        <caption>{{ $table->caption }}</caption>
        <thead><tr>@foreach ($table->head as $head)<th scope="col">{{ $head }}</th>@endforeach</tr></thead>
        <tbody>
            @foreach ($table->rows as $row)
                <tr @class(['is-marked' => $loop->index === $table->marked])>
                    @foreach ($row as $cell)@if ($loop->first)<th scope="row">@said($cell)</th>@else<td>{{ $cell }}</td>@endif @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
    @if ($table->note !== '')<p class="help">@said($table->note)</p>@endif
</div>
