@php
    use Aqbel\Core\Stores\Offer;
    use Aqbel\Core\Quantity\Dimension;
    $volume = fn (float $ml) => $units->format($ml, Dimension::Volume);
@endphp
<x-layout title="Stores" wide>
    <header class="page-head"><h1>Stores</h1><p>What stands on the shelf part-used, and what the shop buys. Plans and mixtures reckon with both.</p></header>
    @if ($errors->any())<p class="error error-block" role="alert">@icon('triangle-alert'){{ $errors->first() }}</p>@endif
    <div class="stores">
        <section aria-labelledby="shelf-title">
            <h2 id="shelf-title">On the shelf</h2>
            @php $most = max([1.0, ...$containers->map(fn ($c) => (float) $c->movements_sum_ml)->all()]); @endphp
            <ul class="shelf">
                @forelse ($containers as $one)
                    @php $labelled = $one->labelled(); $wet = max(4, round(92 * $labelled->ml / $most)); @endphp
                    <li>
                        <svg viewBox="0 0 60 100" class="can" aria-hidden="true"><path d="M4 4v92h52V4" class="tube"/><rect x="5.5" y="{{ 95 - $wet }}" width="49" height="{{ $wet }}" class="tube-wet"/><line x1="0" x2="60" y1="{{ 95 - $wet }}" y2="{{ 95 - $wet }}" class="tube-datum"/></svg>
                        <div class="can-label">
                            <p class="can-volume">{{ $volume($labelled->ml) }}</p>
                            <p>{{ $labelled->label() }}</p>
                            @if ($labelled->kind !== Offer::WATER)<p>{{ $labelled->kind === Offer::CONCENTRATE ? 'Dilute before use' : 'Freezes at '.$units->format($labelled->freezePointC(), Dimension::Temperature) }}</p>@endif
                            <p class="help">{{ $one->created_at->format('Y-m-d') }}@if ($one->job), {{ $one->job->number() }} {{ $one->job->vehicle->plate }}@endif @if ($labelled->kind !== Offer::WATER) · poisonous, keep from children and animals @endif</p>
                        </div>
                        <form method="post" action="/stores/containers/{{ $one->id }}" class="no-print" data-once>@csrf
                            <label for="now-{{ $one->id }}">Holds now</label>
                            <div class="count"><input id="now-{{ $one->id }}" type="text" inputmode="decimal" name="fields[now]" value="{{ $units->format($labelled->ml, Dimension::Volume, false) }}" autocomplete="off"><span class="unit">{{ $units->unit(Dimension::Volume)->value }}</span><button class="button button-quiet">Count</button></div>
                        </form>
                    </li>
                @empty
                    <li class="shelf-empty">Nothing part-used. What is left of a batch comes here at the end of a job, with its label; what is left in a container that was opened for a batch comes here by itself.</li>
                @endforelse
            </ul>
            <button type="button" class="button button-quiet no-print" data-print>Print the labels</button>
            <details class="no-print" @if (old('form') === 'container') open @endif><summary class="button button-quiet button-wide">Put something on the shelf…</summary>
                <form method="post" action="/stores/containers" class="sheet" data-once>@csrf<input type="hidden" name="form" value="container"><div class="fields">@foreach ($container->fields as $field)<x-field :field="$field" :units="$units" prefix="shelf-"/>@endforeach</div><button class="button button-wide">{{ $container->button }}</button></form>
            </details>
        </section>
        <section class="no-print" aria-labelledby="prices-title">
            <h2 id="prices-title">Price list</h2>
            @if ($products->isEmpty())<p class="empty">No prices yet. With them every plan says what to buy, in whole containers, and whether premix or concentrate is cheaper.</p>
            @else
                <table class="list prices"><thead><tr><th scope="col">What</th><th scope="col">Containers, price, per litre</th></tr></thead><tbody>
                    @foreach ($products->groupBy(fn ($one) => "{$one->inhibitor}|{$one->base}|{$one->kind}|{$one->fraction}") as $same)
                        @php $one = $same->first(); $name = Offer::KINDS[$one->kind].($one->kind === Offer::PREMIX ? ' '.round($one->fraction * 100).' %' : ''); @endphp
                        <tr><th scope="row">{{ $name }}@if ($one->base)<small>{{ $one->inhibitor }}, {{ mb_strtolower($one->offer()->base->label()) }}</small>@endif</th>
                            <td><ul>@foreach ($same as $size)<li><b>{{ $volume($size->ml) }}</b> {{ number_format($size->price, 2) }} {{ $currency }} <small>{{ number_format($size->price / $size->ml * 1000, 2) }}</small>
                                @if ($lead)<form method="post" action="/stores/products/{{ $size->id }}" data-once>@csrf @method('delete')<button class="button button-quiet" aria-label="Remove {{ $name }}, {{ $volume($size->ml) }}, {{ $size->inhibitor }}">×</button></form>@endif</li>@endforeach</ul></td></tr>
                    @endforeach
                </tbody></table>
            @endif
            @if ($lead)
                <details @if (old('form') === 'product') open @endif><summary class="button button-quiet button-wide">Add a container to the price list…</summary>
                    <form method="post" action="/stores/products" class="sheet" data-once>@csrf<input type="hidden" name="form" value="product"><div class="fields">@foreach ($product->fields as $field)<x-field :field="$field" :units="$units" prefix="price-"/>@endforeach</div><button class="button button-wide">{{ $product->button }}</button></form>
                </details>
            @else<p class="help">The price list is changed by a lead.</p>@endif
        </section>
    </div>
</x-layout>
