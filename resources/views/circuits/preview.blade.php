<x-elevation :picture="$preview->picture()"/>
<section aria-label="Predicted">
    <h2>Predicted</h2>
    @foreach ($preview->advice() as $point)
        <p class="error">@icon('triangle-alert')<span><b>{{ $point->field }}</b>: {{ $point->getMessage() }}</span></p>
    @endforeach
    <dl class="facts [&_dd]:whitespace-nowrap">
        <div><dt>All passages</dt><dd data-capacity="{{ $preview->circuit->capacityMl() }}">{{ $preview->capacity() }}</dd></div>
        @foreach ($preview->facts() as [$name, $value])<div><dt>{{ $name }}</dt><dd>{{ $value }}</dd></div>@endforeach
    </dl>
</section>
