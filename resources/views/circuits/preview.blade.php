@php use Aqbel\Core\Quantity\Dimension; $units = auth()->user()->units; $volume = fn (float $ml) => $units->format(max(0.0, $ml), Dimension::Volume); @endphp
<x-elevation :circuit="$circuit" :runs="$filling->runs" editable :pockets="array_map(fn ($k) => ['text' => $volume($k['volume_ml']).' air', 'passages' => $k['passages']], array_slice($filling->pockets, 0, 3))"
    :notes="array_combine(array_column($drainage->drains, 'port'), array_map(fn ($d) => 'lets out '.$volume($d['volume_ml']), $drainage->drains))"/>
<section class="plan-numbers" aria-label="Predicted">
    <h2>Predicted</h2>
    @foreach ($advice as $point)<p class="error">@icon('triangle-alert')<span><b>{{ $point->field }}</b>: {{ $point->getMessage() }}</span></p>@endforeach
    <dl class="facts">
        <div><dt>All passages</dt><dd data-capacity="{{ $circuit->capacityMl() }}">{{ $volume($circuit->capacityMl()) }}</dd></div>
        @foreach ($drainage->drains as $drain)<div><dt>{{ $circuit->ports[$drain['port']]->label }} lets out</dt><dd>{{ $volume($drain['volume_ml']) }}</dd></div>@endforeach
        <div><dt>Stays inside</dt><dd>{{ $volume($drainage->retainedMl) }}</dd></div>
        <div><dt>Air after a gravity fill</dt><dd>{{ $volume($filling->airMl) }}</dd></div>
        <div><dt>Bleed points run in this order</dt><dd>{{ implode(', ', array_map(fn ($flow) => $circuit->ports[$flow['port']]->label, $filling->flows)) ?: 'none runs' }}</dd></div>
    </dl>
</section>
