<section class="plan-numbers" aria-label="Predicted">
    <x-level :level="$outcome->level()"/>
    <dl class="facts">
        @foreach ($outcome->facts() as [$name, $about, $value])
            <div><dt>{{ $name }} @if ($about !== '')<small>{{ $about }}</small>@endif</dt><dd>{{ $value }}</dd></div>
        @endforeach
    </dl>
</section>
<section class="plan-notes" aria-label="What this job depends on" data-recommended="{{ $outcome->drains() }}">
    @foreach ($outcome->notes() as $note)
        <p @class(['plan-note', "tone-{$note->tone}" => $note->tone !== ''])>@icon($note->icon)<span><b>{{ $note->bold }}</b> {{ $note->text }}</span></p>
    @endforeach
</section>
<section class="plan-hand" aria-label="To have at hand">
    <div>
        <h2>Comes off</h2>
        @forelse ($outcome->covers() as [$cover, $about])<p>{{ $cover }} <small>{{ $about }}</small></p>@empty<p class="help">Nothing.</p>@endforelse
    </div>
    <div>
        <h2>Parts</h2>
        @forelse ($outcome->parts() as $part)<p>{{ $part }}</p>@empty<p class="help">None from the circuit’s own data.</p>@endforelse
    </div>
    <div class="shopping">
        <h2>Coolant to buy</h2>
        @if ($outcome->bleedsOnly())
            <p>A litre of mixed coolant for topping up, {{ $outcome->family() }}.</p>
        @else
            @foreach ($outcome->ways() as $way)
                <div @class(['shopping-way', 'is-first' => $loop->first])>
                    <p><b>{{ $way->title }}</b> @if ($way->offered)<b class="price">{{ $way->price }}</b>@endif</p>
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
<x-elevation :picture="$outcome->picture()"/>
<section class="plan-steps" aria-labelledby="steps-title">
    <h2 id="steps-title">The sequence <small>{{ $outcome->times()[0] }} hands on, {{ $outcome->times()[1] }} waiting</small></h2>
    <ol class="stage-list">
        @foreach ($outcome->stages() as $stage)
            <li><span class="stage-name"><i>{{ $loop->index }}</i>{{ $stage['name'] }}</span><span>{{ $stage['steps'] }}</span></li>
        @endforeach
    </ol>
</section>
