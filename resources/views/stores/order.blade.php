@if (($orders = $page->toOrder()) !== [])
    <section class="mb-4 overflow-x-auto bg-panel p-5" aria-labelledby="order-title">
        <h2 id="order-title">What open jobs still want</h2>
        <table class="list">
            <thead><tr><th scope="col">Liquid</th><th scope="col">Wanted</th><th scope="col">On the shelf</th><th scope="col">To order</th>
                <th scope="col">For</th></tr></thead>
            <tbody>
                @foreach ($orders as $one)
                    <tr><th scope="row">{{ $one->liquid }}</th><td class="num">{{ $one->wanted }}</td><td class="num">{{ $one->there }}</td>
                        <td class="num">@if ($one->short !== '')<b>{{ $one->short }}</b>@else nothing @endif</td><td>{{ $one->jobs }}</td>
                            </tr>
                @endforeach
            </tbody>
        </table>
    </section>
@endif
