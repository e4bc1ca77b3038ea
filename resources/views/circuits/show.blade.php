@php use Aqbel\Core\Quantity\Dimension; $facts = $circuit->facts; @endphp
<x-layout :title="$circuit->name">
    <header class="page-head"><h1>{{ $circuit->name }}</h1><p>Revision {{ $model->revision }} · {{ $facts->source }}</p>
        <span class="page-actions"><a class="button button-quiet" href="/circuits/{{ $model->id }}/export">Export</a><a class="button button-quiet" href="/circuits/{{ $model->id }}/elevation.svg">SVG</a>@if (auth()->user()->role === 'lead')<a class="button button-quiet" href="/circuits/new?from={{ $model->id }}" data-key="n" data-key-label="New circuit from this layout">New from this layout</a><a class="button" href="/circuits/{{ $model->id }}/edit" data-key="e" data-key-label="Edit">Edit</a>@endif</span></header>
    <div class="circuit-page">
        <x-elevation :circuit="$circuit"/>
        <div>
            <dl class="facts">
                <div><dt>Capacity</dt><dd>{{ $units->format($circuit->capacityMl(), Dimension::Volume) }}</dd></div>
                @foreach (['Cap' => [$facts->capKpa, Dimension::Pressure], 'Thermostat starts' => [$facts->thermostatStartC, Dimension::Temperature], 'Thermostat full open' => [$facts->thermostatFullC, Dimension::Temperature], 'Fan on' => [$facts->fanOnC, Dimension::Temperature], 'Fan off' => [$facts->fanOffC, Dimension::Temperature], 'Vehicle’s limit' => [$facts->limitC, Dimension::Temperature]] as $name => [$value, $dimension])
                    <div><dt>{{ $name }}</dt><dd>{{ $value === null ? 'not known' : $units->format($value, $dimension) }}</dd></div>
                @endforeach
                <div><dt>Coolant</dt><dd>{{ $facts->base->label() }}, {{ $facts->inhibitor }}</dd></div>
                <div><dt>Cold level</dt><dd>{{ $facts->coldLevel }}</dd></div>
            </dl>
            <table class="list"><thead><tr><th scope="col">Point</th><th scope="col">Access and tool</th><th scope="col">Torque, washer</th></tr></thead><tbody>
                @foreach ($circuit->ports as $port)<tr><th scope="row">{{ $port->label }}</th><td>{{ $port->access }}@if ($port->tool) <small>{{ $port->tool }}</small>@endif</td><td>{{ $port->torqueNm === null ? ($port->kind === 'fill' ? '' : 'by feel') : $units->format($port->torqueNm, Dimension::Torque) }}@if ($port->washer) <small>{{ $port->washer }}</small>@endif</td></tr>@endforeach
            </tbody></table>
        </div>
    </div>
</x-layout>
