<x-layout title="Stores" wide>
    <x-head>
        <h1>Stores</h1>
        <p>What stands on the shelf part-used, and what the shop buys. Plans and mixtures reckon with both.</p>
    </x-head>
    @if ($errors->any())<p class="error error-block" role="alert">@icon('triangle-alert'){{ $errors->first() }}</p>@endif
    @include('stores.order')
    <div class="grid items-start gap-6 min-[1001px]:grid-cols-2 print:block">
        @include('stores.shelf')
        @include('stores.prices')
    </div>
</x-layout>
