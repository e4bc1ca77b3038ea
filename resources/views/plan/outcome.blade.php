<section class="order-1 bg-panel px-5 py-4" aria-label="Predicted" data-numbers>
    <x-level :level="$outcome->level()"/>
    <dl class="facts [&_dd]:whitespace-nowrap">
        @foreach ($outcome->facts() as [$name, $about, $value])
            <div><dt>{{ $name }} @if ($about !== '')<small>{{ $about }}</small>@endif</dt><dd>{{ $value }}</dd></div>
        @endforeach
    </dl>
</section>
<section class="order-3 col-span-full grid gap-2.5 bg-panel px-5 py-4" aria-label="What this job depends on"
    data-recommended="{{ $outcome->drains() }}">
    @foreach ($outcome->notes() as $note)
        <p @class(['flex gap-3', "tone-{$note->tone} font-normal" => $note->tone !== ''])>@icon($note->icon)<span class="text-ink"><b>{{ $note->bold }}</b> {{ $note->text }}</span></p>
    @endforeach
</section>
<section class="order-7 col-span-full grid gap-6 min-[1181px]:grid-cols-[1fr_1.2fr_1.6fr] bg-panel px-5 py-4" aria-label="To have at hand">
    <div>
        <h2 class="mb-1">Comes off</h2>
        @forelse ($outcome->covers() as [$cover, $about])
            <p class="border-rule py-[3px] not-first-of-type:border-t">{{ $cover }} <small>{{ $about }}</small></p>@empty<p class="help">Nothing.</p>@endforelse
    </div>
    <div>
        <h2 class="mb-1">Parts</h2>
        @forelse ($outcome->parts() as $part)
            <p class="border-rule py-[3px] not-first-of-type:border-t">{{ $part }}</p>@empty<p class="help">None from the circuit’s own data.</p>@endforelse
    </div>
    <div class="[&_p]:py-[3px]">
        <h2 class="mb-1">Coolant to buy</h2>
        @if ($outcome->bleedsOnly())
            <p>A litre of mixed coolant for topping up, {{ $outcome->family() }}.</p>
        @else
            @foreach ($outcome->ways() as $way)
                <div class="border-b border-rule py-1.5">
                    <p><b>{{ $way->title }}</b> @if ($way->offered)<b @class(['float-right font-gauge text-xl/tight font-semibold', 'border-b-3 border-level text-coolant-deep' => $loop->first])>{{ $way->price }}</b>@endif</p>
                    @if ($way->offered)
                        <p>{{ $way->buy }}</p>
                        <p class="help">{{ $way->help }}</p>
                    @else
                        <p class="help">Nothing of this base and family on the price list. <a href="/stores">Stores</a></p>
                    @endif
                </div>
            @endforeach
            <p class="help">
                With {{ $outcome->sparePercent() }} % more than the predicted need.
                Premix cannot be mis-mixed; concentrate is cheaper.
            </p>
        @endif
    </div>
</section>
<x-elevation class="order-2" :picture="$outcome->picture()"/>
<section class="order-8 col-span-full bg-panel px-5 py-4" aria-labelledby="steps-title">
    <h2 class="mb-1" id="steps-title">The sequence <small>{{ $outcome->times()[0] }} hands on, {{ $outcome->times()[1] }} waiting</small></h2>
    <ol>
        @foreach ($outcome->stages() as $stage)
            <li class="grid grid-cols-[150px_1fr] items-center gap-3 border-t border-rule"><x-stage class="font-medium"
                :number="$loop->index">{{ $stage['name'] }}</x-stage><span>{{ $stage['steps'] }}</span></li>
        @endforeach
    </ol>
</section>
