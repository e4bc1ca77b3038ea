{{-- On every page of the shop: where an engine is to be shut off now. --}}
<div id="danger" data-live @if ($dangers !== []) role="alert" @endif>
    @foreach ($dangers as $one)
        <a class="danger" href="/jobs/{{ $one->job }}" @if ($about === (string) $one->job) aria-current="page" @endif>
            @icon('octagon-x')<b>Shut off now</b> <span class="plate">{{ $one->plate }}</span>
            <span>{{ $one->vehicle }}@if ($one->place !== ''), {{ lcfirst($one->place) }}@endif</span>
        </a>
    @endforeach
</div>
