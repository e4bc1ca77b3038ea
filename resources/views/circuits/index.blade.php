<x-layout title="Circuits">
    <header class="page-head"><h1>Circuits</h1><p>The vehicle models this shop knows.</p></header>
    @if ($circuits->isEmpty())<section class="empty"><h2>No circuit yet</h2><p>A circuit is the elevation model of a vehicle: nodes with heights, passages with volumes, bleed and drain points.</p></section>@endif
    <ul class="cards">@foreach ($circuits as $model)
        @php $circuit = $model->read(); @endphp
        <li><a href="/circuits/{{ $model->id }}"><x-elevation :circuit="$circuit" :legend="false"/><b>{{ $circuit->name }}</b><small>{{ auth()->user()->units->format($circuit->capacityMl(), Aqbel\Core\Quantity\Dimension::Volume) }} · revision {{ $model->revision }}</small></a></li>
    @endforeach</ul>
</x-layout>
