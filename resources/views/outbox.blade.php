<x-layout title="Kept on this tablet">
    <section class="grid max-w-[760px] gap-3.5" data-outbox>
        <h1>Kept on this tablet</h1>
        <p>What was entered without a connection. It goes out by itself, in this order, as soon as the connection is back.</p>
        <ul class="grid gap-px bg-rule"></ul>
        <p data-nothing>Nothing waits.</p>
        <template>
            <li class="flex flex-wrap items-baseline gap-x-3.5 gap-y-1 bg-panel px-4 py-3.5"><b data-typed></b> <span data-said></span>
                <a class="ml-auto">Open the step</a></li>
        </template>
        <p><a class="button" href="/">To the floor</a></p>
    </section>
</x-layout>
