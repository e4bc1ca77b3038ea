<section aria-labelledby="shelf-title">
    <h2 class="mb-2" id="shelf-title">On the shelf</h2>
    @foreach ($page->belowNothing() as $can)
        <div class="mb-3.5 grid gap-1.5 border-2 border-stop bg-panel p-3.5" role="alert">
            <p class="text-lg font-semibold">{{ $can->taken() }} more was taken out of this can than was put in.</p>
            <p>{{ $can->labelled->label() }} · {{ $can->from() }}. A line was put right since, or taken back.</p>
            <p><a href="/stores/containers/{{ $can->container->id }}" class="inline-flex min-h-11 items-center">Every litre of it</a></p>
            @include('stores.count')
        </div>
    @endforeach
    <ul class="mb-3.5 grid grid-cols-[repeat(auto-fill,minmax(min(100%,300px),1fr))] gap-3">
        @forelse ($page->shelf() as $can)
            <li class="grid grid-cols-[60px_1fr] gap-3.5 border-b-4 border-ink bg-panel p-3.5 print:break-inside-avoid">
                <svg viewBox="0 0 60 100" class="h-25 w-15 [&_path]:fill-none" aria-hidden="true">
                    <path d="M4 4v92h52V4" class="tube"/>
                    <rect x="5.5" y="{{ 95 - $can->wet() }}" width="49" height="{{ $can->wet() }}" class="tube-wet"/>
                    <line x1="0" x2="60" y1="{{ 95 - $can->wet() }}" y2="{{ 95 - $can->wet() }}" class="tube-datum"/>
                </svg>
                <div>
                    <p class="font-gauge text-[2.25rem]/none font-semibold">{{ $can->volume() }} <small class="text-base font-normal">{{ $can->within() }}</small></p>
                    @if ($can->level())<p>{{ $can->level() }}</p>@endif
                    <p>{{ $can->labelled->label() }}</p>
                    @if ($can->caution() !== '')<p>{{ $can->caution() }}</p>@endif
                    <p class="help">{{ $can->from() }}@if ($can->isGlycol()) · poisonous, keep from children and animals @endif</p>
                    <p class="no-print"><a href="/stores/containers/{{ $can->container->id }}"
                        class="inline-flex min-h-11 items-center">Every litre of it<span class="sr-only">, {{ $can->labelled->label() }}</span></a></p>
                </div>
                @include('stores.count')
            </li>
        @empty
            <li class="col-span-full border-b-4 border-ink bg-panel p-3.5">
                Nothing part-used. What is left of a batch comes here at the end of a job, with its label;
                what is left in a container that was opened for a batch comes here by itself.
            </li>
        @endforelse
    </ul>
    <button type="button" class="button button-quiet no-print" data-print>Print the labels</button>
    <details class="no-print mt-3.5" @if (old('form') === 'container') open @endif>
        <summary class="button button-quiet button-wide">Put something on the shelf…</summary>
        @include('stores.form', ['form' => $page::containerForm(), 'to' => 'containers', 'prefix' => 'shelf-'])
    </details>
</section>
