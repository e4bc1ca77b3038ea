@php
    use App\Http\Requests\PlanRequest;
    use Aqbel\Core\Quantity\Dimension;
    use Aqbel\Core\Quantity\Unit;
    use Aqbel\Core\Quantity\UnitSystem;
    $units = auth()->user()->units;
    $road = $units === UnitSystem::UsCustomary ? Unit::Mile : Unit::Kilometre;
    $now = ['kind' => $input->jobKind, 'complaint' => $input->complaint, 'content' => $input->content, 'school' => $input->school, 'stock' => $input->stockFraction < 1.0 ? 'premix' : 'concentrate'];
    $usage = $before['usage'] ?? [];
    $lastKm = isset($usage['odometer_km']) ? number_format($road->fromBase($usage['odometer_km'] * 1e6), 0, '.', '') : '';
    $steppers = [
        'target' => ['Glycol wanted', $units->format($input->targetFraction, Dimension::Fraction, false), '%'],
        'frost' => ['or frost protection to', $input->frostC === null ? '' : $units->format($input->frostC, Dimension::Temperature, false), $units->unit(Dimension::Temperature)->value],
        'lift' => ['Nose raised', $units->format($input->noseLiftMm, Dimension::Length, false), $units->unit(Dimension::Length)->value],
        'head' => ['Funnel above the neck', $units->format($input->headMm, Dimension::Length, false), $units->unit(Dimension::Length)->value],
        'cure' => ['Sealant cures, 0 for none', (string) $input->cureMinutes, 'min'],
        'odometer' => ['Odometer now', '', $road->value], 'last_odometer' => ['at the last change', $lastKm, $road->value],
        'hours' => ['Running hours now', '', 'h'], 'last_hours' => ['at the last change', isset($usage['hours']) ? (string) $usage['hours'] : '', 'h'],
    ];
@endphp
<x-layout title="Plan" wide>
    <div class="plan">
        <form method="post" action="/jobs" class="plan-choices" data-plan data-once>
            @csrf
            <input type="hidden" name="chosen" value="1"><input type="hidden" name="drains_auto" value="0" data-drains-auto="{{ request()->has('drains') && ! request()->boolean('drains_auto') ? '0' : '1' }}">
            <h1>Plan a job</h1>
            <p class="error error-block" role="alert" data-plan-problem hidden></p>
            @if ($errors->any())<p class="error error-block" role="alert">@icon('triangle-alert'){{ $errors->first() }}</p>@endif
            <div class="field"><label for="vehicle">Vehicle</label>
                <select id="vehicle" name="vehicle" data-plan-vehicle>@foreach ($vehicles as $v)<option value="{{ $v->id }}" @selected($v->id === $vehicle->id)>{{ $v->plate }} · {{ $v->name }}</option>@endforeach</select></div>
            @foreach (array_slice(PlanRequest::choices(), 0, 4) as $name => [$label, $choices])<x-plan-choice :name="$name" :label="$label" :choices="$choices" :current="$now[$name]"/>@endforeach
            <details class="field" @if ($input->opened !== []) open @endif><summary class="button button-quiet button-wide">What was or will be opened…</summary><div class="ticks">@foreach (collect($circuit->passages)->groupBy('label') as $label => $runs)<label class="tick"><input type="checkbox" name="opened[]" value="{{ $runs->pluck('id')->implode(',') }}" @checked($runs->pluck('id')->intersect($input->opened)->isNotEmpty())><span>{{ $label }}@if ($runs->first()->behind) <small>behind {{ mb_strtolower(implode(', ', array_map(fn ($c) => $circuit->covers[$c]->label, $runs->first()->behind))) }}</small>@endif</span></label>@endforeach</div></details>
            <div class="field"><fieldset><legend>Drains to open, in this order</legend><div class="ticks">@foreach ($circuit->portsOf('drain') as $port)<label class="tick"><input type="checkbox" name="drains[]" value="{{ $port->id }}" @checked(in_array($port->id, $input->drains, true))><span>{{ $port->label }} <small>{{ $port->access }}</small></span></label>@endforeach</div></fieldset></div>
            @if ($circuit->portsOf('bleed') !== [])<div class="field"><fieldset><legend>Bleed points to use</legend><div class="ticks">@foreach ($circuit->portsOf('bleed') as $port)<label class="tick"><input type="checkbox" name="bleeds[]" value="{{ $port->id }}" @checked(in_array($port->id, $input->bleedsOf($circuit), true))><span>{{ $port->label }} <small>{{ $port->access }}</small></span></label>@endforeach</div></fieldset></div>@endif
            <x-plan-choice name="stock" :label="PlanRequest::choices()['stock'][0]" :choices="PlanRequest::choices()['stock'][1]" :current="$now['stock']"/>
            <div class="pair">@foreach (['target', 'frost'] as $name)<x-plan-stepper :name="$name" :stepper="$steppers[$name]"/>@endforeach</div>
            <div class="field"><input type="hidden" name="tools_chosen" value="1"><fieldset><legend>Tools at hand</legend><div class="ticks">@foreach (Aqbel\Core\Plan\Choices::TOOLS as $tool => $label)<label class="tick"><input type="checkbox" name="tools[]" value="{{ $tool }}" @checked($input->has($tool))><span>{{ $label }}</span></label>@endforeach</div></fieldset></div>
            @foreach (['lift', 'head', 'cure'] as $name)<x-plan-stepper :name="$name" :stepper="$steppers[$name]"/>@endforeach
            <details class="field" @if ($errors->hasAny(['odometer', 'last_odometer', 'hours', 'last_hours', 'last_month'])) open @endif><summary class="button button-quiet button-wide">Distance, hours, last change…</summary>
                <div class="pair">@foreach (['odometer', 'last_odometer', 'hours', 'last_hours'] as $name)<x-plan-stepper :name="$name" :stepper="$steppers[$name]"/>@endforeach</div>
                <div @class(['field', 'has-error' => $errors->has('last_month')])><label for="last_month">Coolant last changed <small>year-month</small></label><input id="last_month" name="last_month" type="text" inputmode="numeric" placeholder="2024-05" value="{{ is_string(old('last_month')) ? old('last_month') : ($before['job'] ?? null)?->signed_at?->format('Y-m') }}" autocomplete="off">@error('last_month')<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror</div>
                <label class="tick"><input type="checkbox" name="first_fill" value="1"><span>Still the first fill</span></label>
            </details>
            <p class="plan-start"><button class="button button-go button-wide" data-key="e" data-key-label="Start this job">Start this job</button></p>
        </form>
        <div id="outcome" class="plan-outcome" aria-live="polite">{{ $outcome }}</div>
    </div>
</x-layout>
