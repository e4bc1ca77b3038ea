<x-layout :title="$page->title().' · '.$page->job->vehicle->plate" wide :about="$page->job->id">
    <div id="run" data-live @class(['run', 'is-danger' => $page->isDanger()])>
        @include('run.rail')
        <section class="step" aria-labelledby="step-title">
            @include('run.notices')
            @include('practice.seen')
            @include($page->sheet === null ? 'run.step' : 'run.sheet')
        </section>
        <aside class="beside" id="run-beside" data-live
            aria-label="Circuit and ledger"><x-elevation :picture="$page->circuit()->picture()"/>
            @if ($leaves = $page->circuit()->airLeaves())<p class="mt-2 font-semibold">{{ $leaves }}</p>@endif
            @if ($page->circuit()->hangsOnHeights())
                <p class="mt-2"><a href="/jobs/{{ $page->job->id }}/how-sure">How sure is this, and what would free the air?</a></p>@endif
        </aside>
        <x-ledger :table="$page->ledger()"/>
    </div>
</x-layout>
