<div hidden data-brings="{{ json_encode($besides->brings()) }}"></div>
@if ($besides->worth() !== [])
    <section class="order-5 bg-panel px-5 py-4" aria-labelledby="worth-title">
        <h2 class="mb-1" id="worth-title">Which drains are worth it</h2>
        <table class="list sm:[&_td]:whitespace-nowrap">
            <thead><tr>
                <th scope="col">Point</th><th scope="col">Lets out, on top</th>
                <th scope="col">Hands</th><th scope="col">Verdict</th>
            </tr></thead>
            <tbody>
                @foreach ($besides->worth() as $row)
                    <tr>
                        <th scope="row" @class(['shadow-[inset_5px_0_0_var(--color-coolant)]' => $row->chosen])>{{ $row->label }}@if ($row->covers !== '') <small>{{ $row->covers }}</small>@endif</th>
                        <td>{{ $row->volume }}</td>
                        <td>{{ $row->hands }}</td>
                        <td><b>{{ $row->verdict }}</b>@if ($row->keepsDry !== '') <small class="whitespace-normal">{{ $row->keepsDry }}</small>@endif</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    </section>
@endif
<section @class(['order-6 bg-panel px-5 py-4', 'col-span-full' => $besides->worth() === []]) aria-labelledby="schools-title" data-ways>
    <h2 class="mb-1" id="schools-title">Which way, for this circuit</h2>
    @if ($besides->refused !== '')<p class="error" role="alert">@icon('triangle-alert'){{ $besides->refused }}</p>@endif
    @if ($besides->together() !== '')<p class="font-semibold">{{ $besides->together() }}</p>@endif
    <p data-recommendation class="my-2 border-l-8 border-go py-1 pl-3">{{ $besides->recommendation() }}</p>
    @foreach ($besides->schools() as $rows)
        @if ($loop->index === 1)<details><summary class="button button-quiet button-wide">More ways…</summary>@endif
        <table class="list sm:[&_td+td]:whitespace-nowrap">
            <thead><tr>
                <th scope="col">Way</th><th scope="col">Air left</th>
                <th scope="col">Hands</th><th scope="col">Total</th>
            </tr></thead>
            <tbody>
                @foreach ($rows as $row)
                    <tr @class(['font-bold' => $row->recommended])>
                        <th scope="row">
                            @if ($row->runs && ! $row->chosen)
                                <x-plan-way data-school="{{ $row->id }}" :label="$row->label"/>
                            @else
                                {{ $row->label }}@if ($row->chosen)@icon('circle-check')@endif
                            @endif
                            @if (($about = implode(', ', array_filter([$row->chosen ? 'this plan' : '', $row->cycles]))) !== '')<small>{{ $about }}</small>@endif
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
            <table class="list sm:[&_td+td]:whitespace-nowrap">
                <thead><tr><th scope="col">Way</th><th scope="col">Air left</th><th scope="col">Hands</th><th scope="col">Total</th></tr>
                    </thead>
                <tbody>
                    @foreach ($besides->combined() as $row)
                        <tr>
                            <th scope="row">
                                @if ($row->chosen){{ $row->label }}@icon('circle-check')
                                @else<x-plan-way data-school="{{ $row->school }}" data-warm-up="{{ $row->warmUp }}"
                                    data-end="{{ $row->end }}"
                                    data-aids="{{ implode(' ', $row->aids) }}" :label="$row->label"/>@endif
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
    @if ($besides->misfits() !== [])
        <details><summary class="button button-quiet button-wide">What does not fit here…</summary>
            @foreach ($besides->misfits() as $misfit)<p class="help">{{ $misfit }}</p>@endforeach
        </details>
    @endif
    <p class="help">{{ $besides->outlook() }}</p>
</section>
