@php
    use Aqbel\Core\Quantity\Dimension;
    use Aqbel\Core\Quantity\Unit;
    use Aqbel\Core\Run\JobState;
    use Aqbel\Core\Run\Journal;
    use Aqbel\Core\Sequence\Figure;
    use Aqbel\Core\Sequence\Stage;
    use Aqbel\Core\Sequence\StepCatalogue;
    $units = auth()->user()->units;
    $volume = fn (float $ml) => $units->format($ml, Dimension::Volume);
    $hours = fn (float $minutes) => intdiv((int) round($minutes), 60).' h '.str_pad((string) ((int) round($minutes) % 60), 2, '0', STR_PAD_LEFT);
    $p = $plan->predicted;
    $state = new JobState($circuit, $plan, new Journal([]));
@endphp
<section class="plan-numbers" aria-label="Predicted">
    <x-level :figure="new Figure('Coolant needed', $p['needed_ml'], Dimension::Volume, Figure::PREDICTED, $p['capacity_ml'], 'capacity')" :units="$units"/>
    <dl class="facts">
        @foreach ($p['drains'] as $drain)<div><dt>{{ $circuit->ports[$drain['port']]->label }} lets out</dt><dd>{{ $volume($drain['volume_ml']) }}</dd></div>@endforeach
        <div><dt>Stays inside @if ($p['retained'])<small>{{ implode(', ', array_keys($p['retained'])) }}</small>@endif</dt><dd>{{ $volume($p['retained_ml']) }}</dd></div>
        <div><dt>Concentrate</dt><dd>{{ $volume($p['concentrate_ml']) }}</dd></div>
        <div><dt>Water</dt><dd>{{ $volume($p['water_ml']) }}</dd></div>
    </dl>
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
    @unless (isset($schools['vacuum']))<p class="help">Vacuum fill: needs the vacuum filler at hand.</p>@endunless
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
