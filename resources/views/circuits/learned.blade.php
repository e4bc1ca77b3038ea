<x-layout :title="'Learned, '.$page->model->name">
    <header class="page-head">
        <h1>What jobs have shown</h1>
        <p><a href="/circuits/{{ $page->model->id }}">{{ $page->model->name }}</a>, revision {{ $page->model->revision }} · {{ count($page->jobs) }} signed {{ Str::plural('job', count($page->jobs)) }} count</p>
    </header>
    @error ('of')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
    @if ($page->rows() === [])
        <section class="empty"><h2>No signed job has measured it yet</h2><p>What comes out at each drain, what stays and what is topped up is held here against the model, job by job.</p></section>
    @else
        <section class="mb-4 overflow-x-auto bg-panel p-5" aria-labelledby="beside-title">
            <h2 id="beside-title">Predicted and measured</h2>
            <table class="list">
                <thead><tr><th scope="col">What</th><th scope="col">Predicted</th><th scope="col">Measured, in the mean</th><th scope="col">Apart</th></tr></thead>
                <tbody>@foreach ($page->rows() as [$what, $predicted, $measured, $apart])<tr><th scope="row">{{ $what }}</th><td class="num">{{ $predicted }}</td><td class="num">{{ $measured }}</td><td class="num">{{ $apart }}</td></tr>@endforeach</tbody>
            </table>
        </section>
        <section class="mb-4 bg-panel p-5" aria-labelledby="probably-title">
            <h2 id="probably-title">What it probably is</h2>
            @forelse ($page->learned->findings ?? [] as $finding)
                <form method="post" action="/circuits/{{ $page->model->id }}/learned" class="flex flex-wrap items-center gap-3 border-b border-rule py-2">
                    @csrf
                    <input type="hidden" name="of" value="{{ $finding->node ?? $finding->passage }}">
                    <p class="grow">{{ $page->says($finding) }}</p>
                    @if ($lead)<button class="button button-quiet">Take it over</button>@else<small>Whoever keeps the circuits here takes it over.</small>@endif
                </form>
            @empty
                <p>As its file says, as far as these jobs can tell: what they measured lies within what vessels, heights and volumes leave open.</p>
            @endforelse
        </section>
    @endif
    @if ($page->leftOut !== [])
        <p class="help">Left out: @foreach ($page->leftOut as [$number, $why]){{ $number }}, {{ $why }}{{ $loop->last ? '.' : '; ' }}@endforeach</p>
    @endif
</x-layout>
