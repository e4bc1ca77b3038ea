<x-layout title="Kept on this tablet">
    <section class="kept" data-outbox>
        <h1>Kept on this tablet</h1>
        <p>What was entered without a connection. It goes out by itself, in this order, as soon as the connection is back.</p>
        <ul></ul>
        <p data-nothing>Nothing waits.</p>
        <template>
            <li><b data-typed></b> <span data-said></span> <a>Open the step</a></li>
        </template>
        <p><a class="button" href="/">To the floor</a></p>
    </section>
</x-layout>
