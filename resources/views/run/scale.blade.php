@if ($page->isWeighed())
    <section class="mt-3 flex flex-wrap items-center gap-x-6 gap-y-2 bg-sunk p-3" data-weighs="/jobs/{{ $page->job->id }}/scale"
        data-keep="{{ $page->step->id }}" aria-label="Bucket on a scale">
        <p><span class="font-gauge text-4xl" data-scale-shows>–</span> <span class="text-quiet">on the scale</span></p>
        <button type="button" class="button" data-scale-takes hidden></button>
        <button type="button" class="button button-quiet" data-scale-zero>Zero it</button>
    </section>
@endif
