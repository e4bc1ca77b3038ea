@php
    use Aqbel\Core\Stores\Offer;
    use Aqbel\Core\Plan\DrainWorth;
    use Aqbel\Core\Quantity\Dimension;
    use Aqbel\Core\Quantity\Unit;
    use Aqbel\Core\Job\JobState;
    use Aqbel\Core\Job\Journal;
    use Aqbel\Core\Saying\Figure;
    use Aqbel\Core\Plan\Materials;
    use Aqbel\Core\Plan\NextChange;
    use Aqbel\Core\Plan\Choices;
    use Aqbel\Core\Job\Stage;
    use Aqbel\Core\Steps\StepCatalogue;
    $units = auth()->user()->units;
    $volume = fn (float $ml) => $units->format($ml, Dimension::Volume);
    $hours = fn (float $minutes) => intdiv((int) round($minutes), 60).' h '.str_pad((string) ((int) round($minutes) % 60), 2, '0', STR_PAD_LEFT);
    $p = $plan->predicted;
    $state = new JobState($circuit, $plan, new Journal([]));
    $input = $plan->input;
    $materials = new Materials($circuit, $input);
    $compatible = $input->compatibility();
    $due = NextChange::before($input);
    $bleeding = $input->jobKind === Choices::BLEED;
    $money = fn (float $price) => number_format($price, 2).($input->rules->currency === '' ? '' : ' '.$input->rules->currency);
    $verdicts = [DrainWorth::MUST => 'must', DrainWorth::WORTH => 'worth it', DrainWorth::LEAVE => 'leave shut'];
@endphp
<section class="plan-numbers" aria-label="Predicted">
    @if ($bleeding)
        <x-level :figure="new Figure('Air a fill leaves here', $p['fill']['air_ml'], Dimension::Volume, Figure::PREDICTED, $comparison->limitMl, 'allowed')" :units="$units"/>
        <dl class="facts">@foreach ($p['fill']['pockets'] as $pocket)<div><dt>{{ $pocket['label'] }}</dt><dd>{{ $volume($pocket['volume_ml']) }}</dd></div>@endforeach</dl>
    @else
    <x-level :figure="new Figure('Coolant needed', $p['needed_ml'], Dimension::Volume, Figure::PREDICTED, $p['capacity_ml'], 'capacity')" :units="$units"/>
    <dl class="facts">
        @foreach ($p['drains'] as $drain)<div><dt>{{ $circuit->ports[$drain['port']]->label }} lets out</dt><dd>{{ $volume($drain['volume_ml']) }}</dd></div>@endforeach
        <div><dt>Stays inside @if ($p['retained'])<small>{{ implode(', ', array_keys($p['retained'])) }}</small>@endif</dt><dd>{{ $volume($p['retained_ml']) }}</dd></div>
        <div><dt>{{ $input->stockFraction < 1.0 ? 'Premix '.$units->format($input->stockFraction, Unit::Percent) : 'Concentrate' }}</dt><dd>{{ $volume($p['concentrate_ml']) }}</dd></div>
        <div><dt>Water</dt><dd>{{ $volume($p['water_ml']) }}</dd></div>
        <div><dt>Circuit in the end @if ($input->frostC !== null)<small>for {{ $units->format($input->frostC, Dimension::Temperature) }}</small>@endif</dt><dd>{{ $units->format($p['final_fraction'], Unit::Percent) }}</dd></div>
    </dl>
    @endif
</section>
<section class="plan-notes" aria-label="What this job depends on" data-recommended="{{ implode(' ', DrainWorth::recommended($worth)) }}">
    @if (($before['watch'] ?? []) !== [])<p class="plan-note tone-wait">@icon('eye')<span><b>To watch, from {{ $before['job']->number() }}:</b> {{ implode('; ', $before['watch']) }}.</span></p>@endif
    @if ($bleeding)<p class="plan-note">@icon('eye')<span><b>Nothing is drained.</b> Top up, open the points in their order, and prove it hot. What has been poured in since somebody’s work is unknown: read the level first.</span></p>@endif
    @if ($input->leakFirst())<p class="plan-note tone-stop">@icon('triangle-alert')<span><b>Find the drip first.</b> Coolant has been disappearing: the circuit is topped up and pressed cold before anything is drained.</span></p>@endif
    @if ($input->drains !== [])<p @class(['plan-note', 'tone-wait' => $compatible->oldShareAllowed(1.0) !== null])>@icon($compatible->oldShareAllowed(1.0) === null ? 'circle-check' : 'triangle-alert')<span><b>{{ $compatible->verdict() }}.</b> {{ $compatible->reason() }} @if (($old = $compatible->oldShareAllowed($input->rules->oldShare)) !== null)At most {{ $units->format($old, Unit::Percent) }} may stay: {{ $p['rinses'] === 0 ? 'the drain alone does that' : 'about '.$p['rinses'].' × rinse' }}. @endif Wanted: {{ mb_strtolower($circuit->facts->base->label()) }}@if ($circuit->facts->inhibitor !== ''), {{ $circuit->facts->inhibitor }}@endif.</span></p>@endif
    @unless ($p['reachable'])<p class="plan-note tone-stop">@icon('octagon-x')<span><b>{{ $units->format($input->targetFraction, Unit::Percent) }} is out of reach.</b> With {{ $volume($p['retained_ml']) }} staying inside the circuit comes only to {{ $units->format($p['final_fraction'], Unit::Percent) }}. Open another drain, or pour concentrate.</span></p>@endunless
    @if ($due)<p @class(['plan-note', 'tone-stop' => $due['share'] >= 1, 'tone-wait' => $due['due'] && $due['share'] < 1])>@icon($due['due'] ? 'triangle-alert' : 'circle-check')<span><b>{{ $due['share'] >= 1 ? 'The coolant is overdue' : ($due['due'] ? 'The coolant is due' : 'The coolant has time left') }}:</b> {{ round(100 * $due['share']) }} % of the shop’s interval, by {{ $due['by'] }}.</span></p>@endif
</section>
@if (! $bleeding && $worth !== [])
    <section class="plan-worth" aria-labelledby="worth-title">
        <h2 id="worth-title">Which drains are worth it</h2>
        <table class="list"><thead><tr><th scope="col">Point</th><th scope="col">Lets out, on top</th><th scope="col">Hands</th><th scope="col">Verdict</th></tr></thead><tbody>
            @foreach ($worth as $w)<tr @class(['is-chosen' => in_array($w->port->id, $input->drains, true)])><th scope="row">{{ $w->port->label }}@if ($w->covers) <small>{{ implode(', ', array_map(fn ($c) => mb_strtolower($circuit->covers[$c]->label), $w->covers)) }} off</small>@endif</th><td>{{ $volume($w->volumeMl) }}</td><td>{{ round($w->minutes) }} min</td><td><b>{{ $verdicts[$w->verdict] }}</b>@if ($w->keepsDry) <small>keeps {{ implode(', ', array_unique(array_map(fn ($k) => mb_strtolower($circuit->passages[$k]->label), $w->keepsDry))) }} dry</small>@endif</td></tr>@endforeach
        </tbody></table>
    </section>
@endif
<section class="plan-hand" aria-label="To have at hand">
    <div><h2>Comes off</h2>@forelse ($materials->covers() as $cover)<p>{{ $cover->label }} <small>{{ round($cover->minutes) }} min{{ $cover->neededToRun ? ', needed to run' : '' }}</small></p>@empty<p class="help">Nothing.</p>@endforelse</div>
    <div><h2>Parts</h2>@forelse ($materials->parts() as $part)<p>{{ $part }}</p>@empty<p class="help">None from the circuit’s own data.</p>@endforelse</div>
    <div class="shopping"><h2>Coolant to buy</h2>
        @if ($bleeding)<p>A litre of mixed coolant for topping up, {{ $circuit->facts->inhibitor === '' ? 'the family the manual names' : $circuit->facts->inhibitor }}.</p>
        @else
        @foreach ($ways as $way)
            <div @class(['shopping-way', 'is-first' => $loop->first])>
                <p><b>{{ $way->stock === Offer::PREMIX ? 'Premix '.$units->format($way->stockFraction, Unit::Percent) : 'Concentrate and water' }}</b> @if ($way->offered)<b class="price">{{ $money($way->cost) }}</b>@endif</p>
                @if (! $way->offered)<p class="help">Nothing of this base and family on the price list. <a href="/stores">Stores</a></p>
                @else
                    <p>@foreach ($way->buy as $line){{ $line['count'] }} × {{ $volume($line['ml']) }} {{ mb_strtolower(Offer::KINDS[$line['kind']]) }}@if (! $loop->last), @endif @endforeach @if ($way->buy === []) Nothing: the shelf has it. @endif</p>
                    <p class="help">@foreach ($way->fromShelfMl as $kind => $ml){{ $volume($ml) }} {{ $kind }} from the shelf. @endforeach @foreach ($way->leftOverMl as $kind => $ml)@if ($ml > 20){{ $volume($ml) }} {{ $kind }} left. @endif @endforeach @unless ($way->mix->reachable())Reaches only {{ $units->format($way->mix->finalFraction(), Unit::Percent) }}.@endunless</p>
                @endif
            </div>
        @endforeach
        <p class="help">With 15 % more than the predicted need. Premix cannot be mis-mixed; concentrate is cheaper.</p>
        @endif
    </div>
</section>
<section class="schools" aria-labelledby="schools-title">
    <h2 id="schools-title">Which school, for this circuit</h2>
    <p class="recommended">{{ $comparison->reason }}</p>
    @foreach (array_chunk($comparison->schools, 4) as $some)
        @if ($loop->index === 1)<details><summary class="button button-quiet button-wide">More schools…</summary>@endif
        <table>
            <thead><tr><th scope="col">School</th><th scope="col">Air left</th><th scope="col">Hands</th><th scope="col">Total</th></tr></thead>
            <tbody>@foreach ($some as $school)<tr @class(['is-recommended' => $school === $comparison->recommended])><th scope="row">{{ $school->label }}@if ($school->heatCycles > 1) <small>{{ $school->heatCycles }} heat cycles</small>@endif</th><td>{{ $school->estimate ? '~' : '' }}{{ $volume($school->airMl) }}</td><td>{{ $hours($school->handsOnMinutes) }}</td><td>{{ $hours($school->totalMinutes) }}</td></tr>@endforeach</tbody>
        </table>
        @if ($loop->index > 0 && $loop->last)</details>@endif
    @endforeach
    <p class="help">Allowed: {{ $volume($comparison->limitMl) }}. @if ($comparison->cheapest)Cheapest fill under it: {{ implode(', ', array_filter([$comparison->cheapest['open'] === [] ? 'no bleed point' : implode(' and ', array_map(fn ($id) => $circuit->ports[$id]->label, $comparison->cheapest['open'])), $comparison->cheapest['nose_lift_mm'] > 0 ? 'nose raised '.$units->format($comparison->cheapest['nose_lift_mm'], Dimension::Length) : null, $comparison->cheapest['head_mm'] > 0 ? 'funnel '.$units->format($comparison->cheapest['head_mm'], Dimension::Length).' above the neck' : null])) }}.@else No raise, funnel and bleed points get under it by pouring.@endif</p>
    @foreach ($comparison->never as $never)<p class="help"><b>{{ $circuit->ports[$never['port']]->label }} cannot run as it stands</b>@if ($never['missing_mm'] > 0): {{ $units->format($never['missing_mm'], Dimension::Length) }} above the neck. A funnel that high{{ $never['nose_lift_mm'] ? ', or the nose raised '.$units->format($never['nose_lift_mm'], Dimension::Length).',' : '' }} would do.@else: air seals it off first.@endif</p>@endforeach
    @unless (in_array('vacuum', $schools, true))<p class="help">Vacuum fill: {{ $bleeding ? 'needs the circuit drained' : 'needs the vacuum filler at hand' }}.</p>@endunless
    @if ($plan->input->school === 'gravity')
        <p class="help">@if ($p['fill']['pockets'])As chosen, air stays at: {{ collect($p['fill']['pockets'])->map(fn ($k) => $k['label'].' '.$volume($k['volume_ml']))->implode('; ') }}.@else No air stays.@endif</p>
    @else
        <p class="help">Pull to {{ $units->format($p['vacuum']['target_kpa'], Unit::InchOfMercury) }}: the same quality here as {{ $plan->input->rules->seaLevelVacuumInHg }} inHg at sea level. Circuit below {{ $units->format($p['vacuum']['max_temp_c'], Dimension::Temperature) }}. It draws in {{ $volume($p['vacuum']['intake_ml']) }}, then top up {{ $volume($p['vacuum']['top_up_ml']) }}.</p>
    @endif
</section>
<x-elevation :circuit="$circuit" :runs="$plan->input->school === 'gravity' ? $p['fill']['runs'] : $p['full_runs']" :lift="$plan->input->school === 'gravity' ? $plan->input->noseLiftMm : 0"
    :pockets="$plan->input->school === 'gravity' ? array_map(fn ($k) => ['text' => $volume($k['volume_ml']).' air', 'passages' => $k['passages']], array_slice($p['fill']['pockets'], 0, 3)) : []"
    :notes="array_combine(array_column($p['drains'], 'port'), array_map(fn ($d) => 'lets out '.$volume($d['volume_ml']), $p['drains']))"/>
<section class="plan-steps" aria-labelledby="steps-title">
    <h2 id="steps-title">The sequence <small>{{ $hours($plan->handsOnMinutes()) }} hands on, {{ $hours($plan->waitingMinutes()) }} waiting</small></h2>
    <ol class="stage-list">@foreach (Stage::cases() as $stage)<li><span class="stage-name"><i>{{ $stage->value }}</i>{{ $stage->label() }}</span><span>@foreach (array_filter($plan->steps, fn ($s) => $s->stage === $stage) as $s){{ StepCatalogue::of($s)->title($state->at($s, 0, $units)) }}@if (! $loop->last) · @endif @endforeach</span></li>@endforeach</ol>
</section>
