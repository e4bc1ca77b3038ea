<x-layout :title="'Compare '.$ours->name" wide>
    <x-head>
        <h1>{{ $ours->name }} is here already</h1>
        <p>What came differs from ours, revision {{ $ours->revision }}. Say which to keep, part by part.{{ $more > 0 ? " {$more} more of the package follow." : '' }}</p>
    </x-head>
    @if ($refused !== null)<p class="error error-block" role="alert">@icon('triangle-alert'){{ $refused }}</p>@endif
    <div class="mb-4 grid gap-4 lg:grid-cols-2">
        <section class="bg-panel p-4" aria-labelledby="ours-title"><h2 id="ours-title">Ours</h2><x-elevation :picture="new \App\Elevation\Picture($ours->read())"/></section>
        <section class="bg-panel p-4" aria-labelledby="theirs-title"><h2 id="theirs-title">What came</h2><x-elevation :picture="new \App\Elevation\Picture($theirs)"/></section>
    </div>
    <form method="post" action="/circuits/{{ $ours->id }}/merge" class="bg-panel p-5" data-once>
        @csrf
        <textarea name="document" hidden aria-hidden="true">{{ $document }}</textarea>
        <textarea name="rest" hidden aria-hidden="true">{{ $rest }}</textarea>
        @if ($compared->differences() === [])<p>In every part as ours; what jobs measured elsewhere came along with it.</p>@endif
        <ul class="grid gap-2">
            @foreach ($compared->differences() as $difference)
                <li class="border-b border-rule pb-2">
                    <label class="flex min-h-12 items-start gap-3">
                        <input type="checkbox" name="take[]" value="{{ $difference->key }}" @checked(in_array($difference->key, $ticked, true)) class="mt-1 size-6 shrink-0">
                        <span><b>{{ $difference->part }}</b>
                            @foreach ($difference->changes as $change)<span class="block">{{ $difference->what($change) }} ours <b class="num">{{ $change->was }}</b>, what came <b class="num">{{ $change->is }}</b></span>@endforeach
                        </span>
                    </label>
                </li>
            @endforeach
        </ul>
        <div class="mt-4 flex flex-wrap gap-3">
            <button class="button button-go">Take what is ticked, keep ours in the rest</button>
            <button class="button button-quiet" name="own" value="1">Bring it in as a circuit of its own</button>
        </div>
    </form>
</x-layout>
