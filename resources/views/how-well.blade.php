<x-layout title="How well we predict">
    <x-head>
        <h1>How well we predict</h1>
        <p>What circuits said beforehand beside what was measured, by signed jobs · <a href="/records">records</a></p>
    </x-head>
    @if ($page->figures === 0)
        <x-empty><h2>Nothing measured yet</h2><p>Each drain and what stays inside is held against its circuit, with the range
            that was stated, once a job is signed.</p></x-empty>
    @else
        <section class="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-1 bg-panel p-5">
            <p><span class="font-gauge text-6xl">{{ $page::percent($page->within, $page->figures) }}</span></p>
            <p class="grow">of {{ $page->figures }} figures lay within the range that was stated. It should be 95 %:
                @if ($page->within / $page->figures < 0.9)the ranges are too narrow, or circuits are wrong. See which below.
                @elseif ($page->within / $page->figures > 0.985 && $page->figures > 60)the ranges are wider than they need be: a tape at the
                    circuits below would narrow them.
                @else they say what they know.@endif</p>
        </section>
        <section class="mb-4 overflow-x-auto bg-panel p-5" aria-labelledby="months-title" tabindex="0">
            <h2 id="months-title">Month by month</h2>
            <table class="list">
                <thead><tr><th scope="col">Month</th><th scope="col">Jobs</th><th scope="col">Figures</th><th scope="col">Within</th>
                    <th scope="col">A drain is off by</th><th scope="col">What stays, by</th><th scope="col">Came back</th></tr></thead>
                <tbody>@foreach ($page->months as $month)<tr>
                    <th scope="row"><a href="/records?month={{ $month['month'] }}">{{ $month['month'] }}</a></th>
                        <td class="num">{{ $month['jobs'] }}</td><td class="num">{{ $month['figures'] }}</td>
                    <td class="num">{{ $page::percent($month['within'], $month['figures']) }}</td>
                        <td class="num">{{ $month['drains'] }}</td><td class="num">{{ $month['stays'] }}</td>
                        <td class="num">{{ $month['back'] }}</td>
                </tr>@endforeach</tbody>
            </table>
        </section>
        @if ($page->circuits !== [])
            <section class="mb-4 overflow-x-auto bg-panel p-5" aria-labelledby="circuits-title" tabindex="0">
                <h2 id="circuits-title">Circuits, the worst first</h2>
                <table class="list">
                    <thead><tr><th scope="col">Circuit</th><th scope="col">Figures</th><th scope="col">Within</th>
                        <th scope="col">Off by</th></tr></thead>
                    <tbody>@foreach ($page->circuits as $circuit)<tr>
                        <th scope="row"><a href="/circuits/{{ $circuit['circuit'] }}/learned">{{ $circuit['name'] }}</a></th>
                            <td class="num">{{ $circuit['figures'] }}</td>
                        <td class="num">{{ $page::percent($circuit['within'], $circuit['figures']) }}</td>
                            <td class="num">{{ $circuit['off'] }}</td>
                    </tr>@endforeach</tbody>
                </table>
            </section>
        @endif
    @endif
    @if ($page->rates !== [])
        <section class="mb-4 overflow-x-auto bg-panel p-5" aria-labelledby="rates-title" tabindex="0">
            <h2 id="rates-title">How this shop goes, beside what is usual</h2>
            <table class="list">
                <thead><tr><th scope="col">What</th><th scope="col">Here, of the usual</th><th scope="col">Between</th>
                    <th scope="col">Jobs</th><th scope="col">Tells the next job better</th><th scope="col">Plans reckon with</th></tr>
                    </thead>
                <tbody>@foreach ($page->rates as $row)<tr>
                    <th scope="row">{{ $row->what }}</th><td class="num">{{ number_format($row->rate->factor, 2) }} ×</td>
                        <td class="num">{{ number_format($row->rate->low, 2) }} to {{ number_format($row->rate->high, 2) }}</td>
                    <td class="num">{{ $row->rate->jobs }}</td>
                        <td>{{ $row->rate->tellsBetter ? 'yes' : 'no: what is usual does as well' }}</td>
                    <td><span class="flex flex-wrap items-center gap-2"><b class="num">{{ $row->uses }}</b>
                        @if ($mayTake && ($row->canBeTaken() || ($row->own && $row->proposes !== '')))
                            <form method="post" action="/records/predictions" class="flex flex-wrap gap-2">
                                @csrf
                                <input type="hidden" name="rate" value="{{ $row->code }}">
                                @if ($row->canBeTaken())<button class="button button-quiet"
                                    aria-label="Take over {{ $row->proposes }}: {{ $row->what }}">Take over {{ $row->proposes }}</button>@endif
                                @if ($row->own)<button class="button button-quiet" name="usual" value="1"
                                    aria-label="As usual: {{ $row->what }}">As usual</button>@endif
                            </form>
                        @endif</span></td>
                </tr>@endforeach</tbody>
            </table>
            <p class="help">Each job told by all the others, against what is usual. A lead takes over what tells better; minutes are set
                under <a href="/shop/labour">labour</a>, the rest under <a href="/shop/rules">rules</a>. Engines that cool sooner here are
                taken at the slower end of their range: a neck hangs on it.</p>
        </section>
    @endif
    <p class="help">Off by: the middle one of all, whichever way. Within: of what heights, volumes and vessels leave open, 19 in 20.
        @if ($page->leftOut !== []) Left out: @foreach ($page->leftOut as $why => $count){{ $count }}, {{ $why }}{{ $loop->last ? '.' : '; ' }}@endforeach @endif
        @if ($page->waiting > 0) {{ $page->waiting }} more are worked out when this is opened again.@endif</p>
</x-layout>
