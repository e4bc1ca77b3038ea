<x-layout :title="'Learned, '.$page->model->name">
    <x-head>
        <h1>What jobs have shown</h1>
        <p><a href="/circuits/{{ $page->model->id }}">{{ $page->model->name }}</a>, revision {{ $page->model->revision }}
            · {{ count($page->taught->numbers) }} signed {{ count($page->taught->numbers) === 1 ? 'job counts' : 'jobs count' }}{{ $page->taught->cameAlong() > 0 ? ", and {$page->taught->cameAlong()} that came along with it" : '' }}</p>
    </x-head>
    @error ('of')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    @if ($page->rows() === [])
        <x-empty><h2>No signed job has measured it yet</h2>
            <p>What comes out at each drain, what stays and what is topped up is held here against the model, job by job.</p></x-empty>
    @else
        @php $found = $page->learned->findings ?? []; @endphp
        <section class="mb-4 overflow-x-auto bg-panel p-5" aria-labelledby="beside-title" tabindex="0">
            <h2 id="beside-title">Predicted and measured</h2>
            <table class="list">
                <thead><tr><th scope="col">What</th><th scope="col">Predicted</th><th scope="col">Measured, in the mean</th>
                    <th scope="col">Apart</th>
                    @if ($found !== [])<th scope="col">With what is found</th><th scope="col">Apart then</th>@endif</tr></thead>
                <tbody>@foreach ($page->rows() as $row)<tr>
                    <th scope="row">{{ $row->what }}@if ($row->note() !== '')<small class="block font-normal">{{ $row->note() }}</small>@endif</th><td class="num">{{ $row->predicted }}</td><td class="num">{{ $row->measured }}</td>
                        <td class="num">{{ $row->apart }}</td>
                    @if ($found !== [])<td class="num">{{ $row->then }}</td><td class="num">{{ $row->thenApart }}</td>@endif
                </tr>@endforeach</tbody>
            </table>
        </section>
        <section class="mb-4 bg-panel p-5" aria-labelledby="probably-title">
            <h2 id="probably-title">What it probably is</h2>
            @if ($page->isWorking())
                <p role="status">Being worked out from {{ count($page->taught->jobs) }} {{ Str::plural('job', count($page->taught->jobs)) }}. It shows here in a moment.</p>
            @endif
            @forelse ($found as $finding)
                @php $of = $finding->node ?? $finding->passage; @endphp
                <article class="grid gap-3 border-b border-rule py-3">
                    <p class="text-lg"><b>{{ $page->says($finding) }}</b> {{ $page->wouldConfirm($finding) }}</p>
                    @if ($lead)
                        <div class="flex flex-wrap items-end gap-3">
                            <form method="post" action="/circuits/{{ $page->model->id }}/learned">
                                @csrf
                                <button class="button" name="of" value="{{ $of }}">Take it over</button>
                            </form>
                            <form method="post" action="/circuits/{{ $page->model->id }}/learned/ask">
                                @csrf
                                @if ($page->model->asks_for === $of)
                                    <button class="button button-quiet" name="of" value="">Asked for: no longer</button>
                                @else
                                    <button class="button button-quiet" name="of" value="{{ $of }}">Ask for the measurement</button>
                                @endif
                            </form>
                            <form method="post" action="/circuits/{{ $page->model->id }}/measured"
                                class="measure flex flex-wrap items-end gap-2">
                                @csrf
                                <input type="hidden" name="{{ $finding->node === null ? 'passage' : 'node' }}" value="{{ $of }}">
                                <x-input name="measured" id="measured-{{ $of }}" label="Measured, {{ $page->unit($finding) }}"
                                    inputmode="decimal" required/>
                                <button class="button button-quiet">Put it into the circuit</button>
                            </form>
                        </div>
                    @else
                        <small>Whoever keeps the circuits here takes it over.</small>
                    @endif
                </article>
            @empty
                @unless ($page->isWorking())<p>As its file says, as far as these jobs can tell: what they measured lies within what vessels,
                    heights and volumes leave open.</p>@endunless
            @endforelse
        </section>
    @endif
    @if ($page->besides() !== [])
        <section class="mb-4 overflow-x-auto bg-panel p-5" aria-labelledby="came-title" tabindex="0">
            <h2 id="came-title">What plans said, and what came</h2>
            <table class="list">
                <thead><tr><th scope="col">What</th><th scope="col">Said</th><th scope="col">Came</th><th scope="col">Jobs</th></tr></thead>
                <tbody>@foreach ($page->besides() as $row)<tr><th scope="row">{{ $row->what }}</th><td class="num">{{ $row->said }}</td>
                    <td class="num">{{ $row->came }}</td><td class="num">{{ $row->jobs }}</td></tr>@endforeach</tbody>
            </table>
            <p class="help">In the mean. Too much else has a hand in these for them to teach the circuit; how the whole shop goes is under
                <a href="/records/predictions">how well we predict</a>.</p>
        </section>
    @endif
    @if ($page->taught->leftOut !== [])
        <p class="help">Left out: @foreach ($page->taught->leftOut as [$number, $why]){{ $number }}, {{ $why }}{{ $loop->last ? '.' : '; ' }}@endforeach</p>
    @endif
</x-layout>
