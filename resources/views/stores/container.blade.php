<x-layout title="A container" wide>
    <x-head>
        <h1>{{ $page->can->labelled->label() }}</h1>
        <p>{{ $page->can->from() }}</p>
    </x-head>
    <div class="grid items-start gap-4 lg:grid-cols-[1fr_22rem]">
        <section class="bg-panel p-5" aria-labelledby="moved-title">
            <h2 id="moved-title" class="flex flex-wrap items-baseline gap-x-3">
                @if ($page->isEmpty()) Empty @else Holds <span class="num">{{ $page->can->volume() }}</span> <small class="font-normal">{{ $page->can->within() }}</small> @endif
            </h2>
            <div class="overflow-x-auto" tabindex="0" role="group" aria-label="Every litre of it">
                <table class="list">
                    <thead><tr><th scope="col">When</th><th scope="col">What</th><th scope="col">In or out</th>
                        <th scope="col">Then in it</th><th scope="col">By</th></tr></thead>
                    <tbody>
                        @foreach ($page->rows() as $row)
                            <tr>
                                <th scope="row" class="num whitespace-nowrap font-normal">{{ $row->at }}</th>
                                <td><b>{{ $row->why }}</b>@if ($row->job !== '') <a href="{{ $row->address }}">{{ $row->job }}</a>@endif
                                    @if ($row->remark !== '')<small class="block">{{ $row->remark }}</small>@endif</td>
                                <td class="num whitespace-nowrap">{{ $row->ml }}</td>
                                <td class="num whitespace-nowrap">{{ $row->holds }}</td>
                                <td>{{ $row->by }}</td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
        </section>
        <section class="no-print bg-panel p-5" aria-labelledby="out-title">
            <h2 id="out-title">Out of it, without a job</h2>
            @include('stores.form', ['form' => $page::outForm(), 'to' => "containers/{$page->can->container->id}/out", 'prefix' => 'out-'])
            <p class="mt-4">Does the sum not agree with the can? <a href="/stores">Count it</a>: what was counted stands, whatever the sums
                say.</p>
        </section>
    </div>
</x-layout>
