<x-layout title="Circuits">
    <x-head><h1>Circuits</h1><p>The vehicle models this shop knows.</p>
        <form method="get" action="/circuits" class="search">
            <label for="q" class="sr-only">Part of the name</label>
            <input id="q" name="q" type="search" value="{{ $search }}" placeholder="Part of the name" data-key="/" data-key-label="Search">
            <button class="button button-quiet">Search</button>
        </form>
    </x-head>
    @if ($lead)
        <p><a class="button button-go" href="/circuits/make" data-key="n" data-key-label="New circuit">@icon('plus')New circuit</a></p>
        <p><a href="/circuits/package.json" class="inline-flex min-h-11 items-center">All of them as one file</a></p>
        <form method="post" action="/circuits" enctype="multipart/form-data"
            class="mb-4 flex flex-wrap items-center gap-x-3.5 gap-y-2 bg-panel px-4 py-2.5">
            @csrf
            <label for="file">Import an <a href="/formats/aqbel-circuit-1.schema.json">aqbel-circuit/1</a> file</label>
            <input id="file" type="file" name="file" class="min-h-11 max-w-80 pt-2" accept=".json,application/json"
                @if ($errors->any()) aria-invalid="true" aria-describedby="file-error" @endif>
            <button class="button button-quiet">Import</button>
            @if ($errors->any())
                <p class="error m-0 basis-full" id="file-error" role="alert">
                    @icon('triangle-alert')<span><b>{{ array_key_first($errors->messages()) }}</b>: {{ $errors->first() }} Nothing was changed.</span>
                </p>
            @endif
        </form>
    @endif
    @if ($cards->isEmpty() && $search !== '')
        <x-empty><h2>Nothing found</h2><p>Try fewer letters.</p></x-empty>
    @elseif ($cards->isEmpty())
        <x-empty>
            <h2>No circuit yet</h2>
            <p>A circuit is the elevation model of a vehicle: nodes with heights, passages with volumes, bleed and drain points.</p>
            @if ($lead)
                <form method="post" action="/circuits/layouts">
                    @csrf
                    <p><button class="button button-go">Bring in ten layouts to begin with</button></p>
                </form>
            @endif
        </x-empty>
    @endif
    <x-cards>
        @foreach ($cards as $card)
            <x-card href="/circuits/{{ $card->id }}" picture="/circuits/{{ $card->id }}/outline.svg?v={{ config('aqbel.version') }}"
                :title="$card->name">{{ $card->about }}</x-card>
        @endforeach
    </x-cards>
    {{ $cards->links('layouts.pages') }}
</x-layout>
