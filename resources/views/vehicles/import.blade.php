<x-layout title="Bring in vehicles">
    <x-head><h1>Bring in vehicles</h1><p>Nothing is changed yet.</p></x-head>
    <x-panel class="justify-items-start">
        @if ($import->refused !== [])
            <x-state tone="stop" icon="octagon-x">Nothing will be brought in:
                {{ count($import->refused) }} {{ count($import->refused) === 1 ? 'mistake' : 'mistakes' }}</x-state>
            <table class="list">
                <thead><tr><th scope="col">Line</th><th scope="col">Column</th><th scope="col">What is wrong</th></tr></thead>
                <tbody>
                    @foreach (array_slice($import->refused, 0, 100) as [$line, $field, $why])
                        <tr><td>{{ $line }}</td><td><code>{{ $field }}</code></td><td>{{ $why }}</td></tr>
                    @endforeach
                </tbody>
            </table>
            @if (count($import->refused) > 100)<p class="help">And {{ count($import->refused) - 100 }} more.</p>@endif
            <p>Put the file right and bring it in again.</p>
        @else
            <x-state tone="pass" icon="circle-check">The file can be read</x-state>
            <dl class="grid grid-cols-[auto_auto] gap-x-6 gap-y-1.5 [&_dd]:font-semibold">
                <dt>New</dt><dd>{{ count($import->new) }}</dd>
                <dt>Changed</dt><dd>{{ count($import->changed) }}</dd>
                <dt>As they are here</dt><dd>{{ $import->unchanged }}</dd>
            </dl>
            @if ($import->new !== [])
                <h2>New</h2>
                @php $circuits = $import->circuits(); @endphp
                <ul>@foreach (array_slice($import->new, 0, 40) as $one)<li><b>{{ $one['plate'] }}</b>
                    {{ $one['name'] }} <small>{{ $circuits[$one['circuit_id']] ?? '' }}</small></li>@endforeach</ul>
                @if (count($import->new) > 40)<p class="help">And {{ count($import->new) - 40 }} more.</p>@endif
            @endif
            @if ($import->changed !== [])
                <h2>Changed</h2>
                <ul>@foreach (array_slice($import->changed, 0, 40) as [$vehicle, $what])<li><b>{{ $vehicle->plate }}</b>
                    {{ implode(', ', array_keys($what)) }}</li>@endforeach</ul>
                @if (count($import->changed) > 40)<p class="help">And {{ count($import->changed) - 40 }} more.</p>@endif
            @endif
            @if ($import->canBeKept())
                <form method="post" action="/vehicles/import" data-once>
                    @csrf
                    <input type="hidden" name="keep" value="1">
                    <textarea name="text" hidden>{{ $text }}</textarea>
                    <button class="button button-go" data-key="e" data-key-label="Bring in">Bring them in</button>
                </form>
            @endif
        @endif
        <a class="button button-quiet" href="/vehicles">Back to the vehicles</a>
    </x-panel>
</x-layout>
