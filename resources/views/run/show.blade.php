<x-layout :title="$page->title().' · '.$page->job->vehicle->plate" wide :about="$page->job->id">
    <div id="run" data-live @class([
        'run grid grid-cols-[216px_minmax(0,1fr)_minmax(0,470px)] items-start gap-[18px] pb-16',
        "[grid-template-areas:'rail_step_beside'_'ledger_ledger_ledger']",
        'max-[1180px]:grid-cols-[minmax(0,1fr)_minmax(0,330px)] max-[1180px]:gap-3',
        "max-[1180px]:[grid-template-areas:'rail_rail'_'step_beside']",
        "max-[760px]:grid-cols-[minmax(0,1fr)] max-[760px]:[grid-template-areas:'rail'_'step'_'beside']",
        '[&.is-danger]:grid-cols-[minmax(0,1fr)]',
        "[&.is-danger]:[grid-template-areas:'step'_'rail'_'beside'_'ledger']",
        'is-danger' => $page->isDanger(),
    ])>
        @include('run.rail')
        <section class="step min-w-0 border-t-[5px] border-coolant bg-panel px-[22px] pt-2 pb-5 [grid-area:step] max-[760px]:px-3.5 max-[760px]:py-4" aria-labelledby="step-title">
            @include('run.notices')
            @include('practice.seen')
            @include($page->sheet === null ? 'run.step' : 'run.sheet')
        </section>
        <aside class="sticky top-3 [grid-area:beside] max-[760px]:static" id="run-beside" data-live
            aria-label="Circuit and ledger"><x-elevation :picture="$page->circuit()->picture()"/>
            @if ($leaves = $page->circuit()->airLeaves())<p class="mt-2 font-semibold">{{ $leaves }}</p>@endif
            @if ($page->circuit()->hangsOnHeights())
                <p class="mt-2"><a href="/jobs/{{ $page->job->id }}/how-sure">How sure is this, and what would free the air?</a></p>@endif
        </aside>
        <x-ledger :table="$page->ledger()"/>
    </div>
</x-layout>
