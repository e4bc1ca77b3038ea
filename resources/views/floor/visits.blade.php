@unless ($due->count() === 0)
    <section class="my-4 border-t-2 border-dashed border-level pt-3" aria-labelledby="due-title">
        <h2 id="due-title" class="text-lg font-bold">Visits <a href="/visits"
            class="inline-flex min-h-11 min-w-11 items-center text-base font-normal">my day</a></h2>
        <ul class="grid gap-1">@include('visits.due', ['visits' => $due->mine->concat($due->others)])</ul>
    </section>
@endunless
