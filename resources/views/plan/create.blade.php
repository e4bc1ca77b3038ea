@php use App\Http\Requests\PlanRequest; use Aqbel\Core\Quantity\Dimension; $units = auth()->user()->units; @endphp
<x-layout title="Plan" wide>
    <div class="plan">
        <form method="post" action="/jobs" class="plan-choices" data-plan data-once>
            @csrf
            <input type="hidden" name="chosen" value="1">
            <h1>Plan a job</h1>
            @if ($errors->any())<p class="error error-block" role="alert"><x-icon name="triangle-alert"/>{{ $errors->first() }}</p>@endif
            <div class="field"><label for="vehicle">Vehicle</label>
                <select id="vehicle" name="vehicle" data-plan-vehicle>@foreach ($vehicles as $v)<option value="{{ $v->id }}" @selected($v->id === $vehicle->id)>{{ $v->plate }} · {{ $v->name }}</option>@endforeach</select></div>
            @foreach (['kind' => ['Job', PlanRequest::JOBS, $input->jobKind], 'complaint' => ['Complaint', PlanRequest::COMPLAINTS, $input->complaint], 'school' => ['School', ['gravity' => 'Gravity with bleed points', 'vacuum' => 'Vacuum fill'], $input->school]] as $name => [$label, $choices, $current])
                <div class="field"><fieldset><legend>{{ $label }}</legend><div class="choices">@foreach ($choices as $value => $text)<label class="choice"><input type="radio" name="{{ $name }}" value="{{ $value }}" @checked(old($name, $current) === $value)><span>{{ $text }}</span></label>@endforeach</div></fieldset></div>
            @endforeach
            <div class="field"><fieldset><legend>Drains to open, in this order</legend><div class="ticks">@foreach ($circuit->portsOf('drain') as $port)<label class="tick"><input type="checkbox" name="drains[]" value="{{ $port->id }}" @checked(in_array($port->id, $input->drains, true))><span>{{ $port->label }} <small>{{ $port->access }}</small></span></label>@endforeach</div></fieldset></div>
            @if ($circuit->portsOf('bleed') !== [])<div class="field"><fieldset><legend>Bleed points to use</legend><div class="ticks">@foreach ($circuit->portsOf('bleed') as $port)<label class="tick"><input type="checkbox" name="bleeds[]" value="{{ $port->id }}" @checked(in_array($port->id, $input->bleedsOf($circuit), true))><span>{{ $port->label }} <small>{{ $port->access }}</small></span></label>@endforeach</div></fieldset></div>@endif
            <div class="field"><input type="hidden" name="tools_chosen" value="1"><fieldset><legend>Tools at hand</legend><div class="ticks">@foreach (Aqbel\Core\Sequence\PlanInput::TOOLS as $tool => $label)<label class="tick"><input type="checkbox" name="tools[]" value="{{ $tool }}" @checked($input->has($tool))><span>{{ $label }}</span></label>@endforeach</div></fieldset></div>
            <details class="field"><summary class="button button-quiet button-wide">What was or will be opened…</summary><div class="ticks">@foreach ($circuit->passages as $passage)<label class="tick"><input type="checkbox" name="opened[]" value="{{ $passage->id }}" @checked(in_array($passage->id, $input->opened, true))><span>{{ $passage->label }} <small>{{ $passage->id }}</small></span></label>@endforeach</div></details>
            @foreach (['target' => ['Glycol wanted', $units->format($input->targetFraction, Dimension::Fraction, false), '%'], 'lift' => ['Nose raised', $units->format($input->noseLiftMm, Dimension::Length, false), $units->unit(Dimension::Length)->value], 'head' => ['Funnel above the neck', $units->format($input->headMm, Dimension::Length, false), $units->unit(Dimension::Length)->value], 'cure' => ['Sealant cures, 0 for none', (string) $input->cureMinutes, 'min']] as $name => [$label, $value, $unit])
                <div @class(['field', 'has-error' => $errors->has($name)])><label for="{{ $name }}">{{ $label }}</label><div class="stepper"><button type="button" data-step="-1" aria-label="Less: {{ $label }}" tabindex="-1">−</button><input id="{{ $name }}" name="{{ $name }}" type="text" inputmode="decimal" value="{{ is_string(old($name)) ? old($name) : $value }}" autocomplete="off" @error($name) aria-invalid="true" aria-describedby="{{ $name }}-error" @enderror><span class="unit">{{ $unit }}</span><button type="button" data-step="1" aria-label="More: {{ $label }}" tabindex="-1">+</button></div>@error($name)<p class="error" id="{{ $name }}-error"><x-icon name="triangle-alert"/>{{ $message }}</p>@enderror</div>
            @endforeach
            <p class="plan-start"><button class="button button-go button-wide" data-key="e" data-key-label="Start this job">Start this job</button></p>
        </form>
        <div id="outcome" class="plan-outcome" aria-live="polite">@include('plan.outcome')</div>
    </div>
</x-layout>
