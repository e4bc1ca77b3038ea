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
    <h2 id="schools-title">Schools, for this circuit</h2>
    <table>
        <thead><tr><th scope="col">School</th><th scope="col">Air left</th><th scope="col">Hands on</th><th scope="col">Waiting</th></tr></thead>
        <tbody>@foreach ($schools as $name => $school)<tr @class(['is-chosen' => $plan->input->school === $name])><th scope="row">{{ $name === 'gravity' ? 'Gravity with bleed points' : 'Vacuum fill' }}</th><td>{{ $volume($school->predicted['fill']['air_ml']) }}</td><td>{{ $hours($school->handsOnMinutes()) }}</td><td>{{ $hours($school->waitingMinutes()) }}</td></tr>@endforeach</tbody>
    </table>
    @unless (isset($schools['vacuum']))<p class="help">Vacuum fill: needs the vacuum filler at hand.</p>@endunless
    @if ($plan->input->school === 'gravity')
        <p class="help">@if ($p['fill']['pockets'])Air stays at: {{ collect($p['fill']['pockets'])->map(fn ($k) => $k['label'].' '.$volume($k['volume_ml']))->implode('; ') }}.@else No air stays.@endif
        @foreach ($p['fill']['missing_mm'] as $port => $mm) <b>{{ $circuit->ports[$port]->label }} cannot run</b>@if ($mm > 0): it lies {{ $units->format($mm, Dimension::Length) }} above the neck. Raise the nose or set a funnel that high.@else: air reaches it last; the heat cycles must bring it out.@endif @endforeach</p>
    @else
        <p class="help">Pull to {{ $units->format($p['vacuum']['target_kpa'], Unit::InchOfMercury) }}: the same quality here as {{ $plan->input->rules->seaLevelVacuumInHg }} inHg at sea level. Circuit below {{ $units->format($p['vacuum']['max_temp_c'], Dimension::Temperature) }}. It draws in {{ $volume($p['vacuum']['intake_ml']) }}, then top up {{ $volume($p['vacuum']['top_up_ml']) }}.</p>
    @endif
</section>
<x-elevation :circuit="$circuit" :runs="$plan->input->school === 'gravity' ? $p['fill']['runs'] : $p['full_runs']" :lift="$plan->input->school === 'gravity' ? $plan->input->noseLiftMm : 0"/>
<section class="plan-steps" aria-labelledby="steps-title">
    <h2 id="steps-title">The sequence <small>{{ $hours($plan->handsOnMinutes()) }} hands on, {{ $hours($plan->waitingMinutes()) }} waiting</small></h2>
    <ol class="stage-list">@foreach (Stage::cases() as $stage)<li><span class="stage-name"><i>{{ $stage->value }}</i>{{ $stage->label() }}</span><span>@foreach (array_filter($plan->steps, fn ($s) => $s->stage === $stage) as $s){{ StepCatalogue::of($s)->title($state->at($s, 0, $units)) }}@if (! $loop->last) · @endif @endforeach</span></li>@endforeach</ol>
</section>
