<section class="no-print" aria-labelledby="prices-title">
    <h2 class="mb-2" id="prices-title">Price list</h2>
    @if ($page->prices() === [])
        <x-empty tag="p">
            No prices yet.
            With them every plan says what to buy, in whole containers, and whether premix or concentrate is cheaper.
        </x-empty>
    @else
        <table class="list max-[520px]:[&_:is(tr,th,td)]:block max-[520px]:[&_th]:border-b-0 max-[520px]:[&_th]:pb-0">
            <thead class="max-[520px]:hidden"><tr><th scope="col">What</th>
                <th scope="col">Containers, price, price of one {{ $page->per() }}</th></tr></thead>
            <tbody>
                @foreach ($page->prices() as $row)
                    <tr>
                        <th scope="row">{{ $row->name }}@if ($row->about !== '')<small>{{ $row->about }}</small>@endif</th>
                        <td><ul class="grid gap-1">
                            @foreach ($row->sizes() as $size)
                                <li class="grid min-h-11 grid-cols-[72px_100px_1fr_auto] items-center">
                                    <b>{{ $size['size'] }}</b> {{ $size['price'] }} <small>{{ $size['each'] }}</small>
                                    @if ($page->lead)
                                        <form method="post" action="/stores/products/{{ $size['id'] }}" data-once>
                                            @csrf @method('delete')
                                            <button class="button button-quiet size-11 min-h-11 border-0 p-0 text-[1.25rem]"
                                                aria-label="{{ $size['remove'] }}">×</button>
                                        </form>
                                    @endif
                                </li>
                            @endforeach
                        </ul></td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($page->lead)
        <details class="mt-3.5" @if (old('form') === 'product') open @endif>
            <summary class="button button-quiet button-wide">Add a container to the price list…</summary>
            @include('stores.form', ['form' => $page::productForm(), 'to' => 'products', 'prefix' => 'price-'])
        </details>
    @else
        <p class="help">The price list is changed by a lead.</p>
    @endif
</section>
