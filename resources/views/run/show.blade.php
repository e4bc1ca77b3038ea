<x-layout :title="$page->title().' · '.$page->job->vehicle->plate" wide>
    <div class="run">
        @include('run.rail')
        <section class="step" aria-labelledby="step-title">
            @include('run.notices')
            @include($page->sheet === null ? 'run.step' : 'run.sheet')
        </section>
        <aside class="beside" aria-label="Circuit and ledger"><x-elevation :picture="$page->picture()"/></aside>
        <x-ledger :table="$page->ledger()"/>
    </div>
</x-layout>
