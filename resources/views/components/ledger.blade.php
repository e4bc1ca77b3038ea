@props(['table'])
<details class="ledger fixed inset-x-0 bottom-0 z-3 max-h-[60vh] overflow-auto bg-ink text-ground [grid-area:ledger] print:static"
    id="ledger" data-live>
    <summary class="flex min-h-12 flex-wrap items-center gap-x-7 gap-y-1 px-[22px] py-1.5 max-[760px]:gap-x-3.5 max-[760px]:gap-y-0.5 max-[760px]:px-3 max-[760px]:py-1 max-[760px]:text-[0.9375rem] max-[760px]:[&>:nth-child(-n+3)]:hidden">
        <span class="sr-only">Ledger in full:</span>
        @foreach ($table->summary() as [$name, $value])<span>{{ $name }} <b class="ml-1 font-gauge text-[1.25rem]/none font-semibold max-[760px]:text-[1.0625rem]">{{ $value }}</b></span>@endforeach
    </summary>
    <table class="mx-[22px] mt-1 mb-4 text-left [&_:is(th,td)]:py-1 [&_:is(th,td)]:pr-6">
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
                <tr @class(['[&>td]:border-t-3 [&>td]:border-dashed [&>td]:border-level [&>td]:font-semibold' => $loop->first])>@foreach ($row as $cell)<td>{{ $cell }}</td>@endforeach</tr>
            @endforeach
        </tbody>
    </table>
</details>
