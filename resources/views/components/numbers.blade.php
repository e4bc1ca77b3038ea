@props(['table'])
<div class="numbers my-3 overflow-x-auto" role="region" aria-label="{{ $table->caption }}" tabindex="0">
    <table class="w-full border-collapse text-left [&_:is(th,td)]:border-b [&_:is(th,td)]:border-rule [&_:is(th,td)]:py-1.5 [&_:is(th,td)]:pr-3.5 [&_:is(th,td)]:align-baseline [&_td:nth-child(2):not(:last-child)]:whitespace-nowrap">
        <caption class="pb-1 text-left font-gauge text-[1.125rem] leading-[normal] font-semibold">{{ $table->caption }}</caption>
        <thead><tr>@foreach ($table->head as $head)<th class="text-[0.9375rem] font-medium text-quiet"
            scope="col">{{ $head }}</th>@endforeach</tr></thead>
        <tbody>
            @foreach ($table->rows as $row)
                <tr @class(['[&>*]:border-b-3! [&>*]:border-level!' => $loop->index === $table->marked])>
                    @foreach ($row as $cell)@if ($loop->first)
                        <th class="font-semibold" scope="row">@said($cell)</th>@else<td>{{ $cell }}</td>@endif @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
    @if ($table->note !== '')<p class="help">@said($table->note)</p>@endif
</div>
