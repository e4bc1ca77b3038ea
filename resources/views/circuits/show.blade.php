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
                @foreach ($circuit->ports as $port)<tr><th scope="row">{{ $port->label }}</th><td>@if ($port->behind)Off first: {{ mb_strtolower(implode(', ', array_map(fn ($c) => $circuit->covers[$c]->label, $port->behind))) }}@if ($port->access). @endif @endif{{ $port->behind ? ucfirst($port->access) : $port->access }}@if ($port->tool) <small>{{ $port->tool }}</small>@endif</td><td>{{ $port->torqueNm === null ? ($port->kind === 'fill' ? '' : 'by feel') : $units->format($port->torqueNm, Dimension::Torque) }}@if ($port->washer) <small>{{ $port->washer }}</small>@endif</td></tr>@endforeach
            </tbody></table>
            @php $opening = array_filter($circuit->passages, fn ($passage) => $passage->parts !== [] || $passage->torqueNm !== null); @endphp
            @if ($opening !== [])
                <table class="list"><thead><tr><th scope="col">Opening</th><th scope="col">Uses up</th><th scope="col">Joint</th></tr></thead><tbody>
                    @foreach ($opening as $passage)<tr><th scope="row">{{ $passage->label }}</th><td>{{ implode(', ', $passage->parts) ?: '–' }}</td><td>{{ $passage->torqueNm === null ? 'clamp, or by feel' : $units->format($passage->torqueNm, Dimension::Torque) }}</td></tr>@endforeach
                </tbody></table>
            @endif
            @if ($circuit->covers !== [])
                <table class="list"><thead><tr><th scope="col">Cover</th><th scope="col">Off and on</th><th scope="col">Back</th></tr></thead><tbody>
                    @foreach ($circuit->covers as $cover)<tr><th scope="row">{{ $cover->label }}</th><td>{{ round($cover->minutes) }} min</td><td>{{ $cover->neededToRun ? 'before the first start' : 'after the leak check' }}</td></tr>@endforeach
                </tbody></table>
            @endif
        </div>
    </div>
</x-layout>
