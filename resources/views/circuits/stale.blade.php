<x-layout title="Saved meanwhile">
    <x-head>
        <h1>Somebody saved this circuit meanwhile</h1>
        <p>You edited revision {{ $edited->revision }}; revision {{ $newest->revision }} is there now. Nothing of yours is stored yet.</p>
    </x-head>
    <div class="grid grid-cols-[repeat(auto-fit,minmax(min(100%,460px),1fr))] items-start gap-6">
        @foreach (['In revision '.$newest->revision => $theirs, 'In yours' => $mine] as $whose => $changes)
            <section>
                <h2 class="mb-2">{{ $whose }}</h2>
                <table class="list">
                    <thead><tr><th scope="col">Where</th><th scope="col">Was</th><th scope="col">Is</th></tr></thead>
                    <tbody>
                        @forelse ($changes as $change)
                            <tr><th scope="row">{{ $change->where }}</th><td>{{ $change->was }}</td><td>{{ $change->is }}</td></tr>
                        @empty
                            <tr><td colspan="3">No difference.</td></tr>
                        @endforelse
                    </tbody>
                </table>
            </section>
        @endforeach
    </div>
    <form method="post" action="/circuits/{{ $edited->id }}" class="mt-5 mb-3 flex flex-wrap gap-3" data-once>
        @csrf
        <input type="hidden" name="over" value="{{ $newest->id }}">
        <textarea name="document" hidden aria-hidden="true">{{ $document }}</textarea>
        <a class="button button-go" href="/circuits/{{ $newest->id }}/edit">Edit revision {{ $newest->revision }} instead</a>
        <button class="button button-quiet">Save mine over it</button>
    </form>
    <p class="help">
        Saved over it, what stands under “In revision {{ $newest->revision }}” is undone; it stays in the library as
        that revision.
    </p>
</x-layout>
