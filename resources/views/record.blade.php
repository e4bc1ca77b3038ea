@php
    use Aqbel\Core\Quantity\Dimension;
    use Aqbel\Core\Quantity\Unit;
    use Aqbel\Core\Job\Stage;
    use Aqbel\Core\Steps\StepCatalogue;
    $ledger = $state->ledger();
    $volume = fn (float $ml) => $units->format($ml, Dimension::Volume);
    $overrides = array_filter($state->closed, fn ($e) => $e->form === 'override');
@endphp
<x-layout :title="'Record '.$job->number()">
    <article class="record">
        <header class="record-head">
            <div><p class="wordmark">Aqbel</p><p>{{ App\Models\Shop::here()->name }}, {{ number_format(App\Models\Shop::here()->elevation_m) }} m</p></div>
            <div><h1>Cooling circuit record {{ $job->number() }}</h1><p><span class="plate">{{ $job->vehicle->plate }}</span> {{ $job->vehicle->name }} · {{ $job->reason }}</p></div>
            <button type="button" class="button no-print" data-print data-key="p" data-key-label="Print">Print</button>
        </header>
        <p class="record-state">@if ($job->signed_at)Signed {{ $job->signed_at->format('Y-m-d H:i') }} by {{ array_last($state->closed)?->person }}.@else<b>Not signed.</b> {{ count($state->closed) }} of {{ count($state->steps) }} steps finished. <a class="no-print" href="/jobs/{{ $job->id }}">Back to the run</a>@endif Planned by {{ $job->planner->name }}, {{ $state->plan->input->school === 'vacuum' ? 'vacuum fill' : 'gravity with bleed points' }}, circuit revision {{ $job->circuit->revision }}. Complaint: {{ mb_strtolower(App\Http\Requests\PlanRequest::COMPLAINTS[$state->plan->input->complaint] ?? 'none') }}.</p>

        <section><h2>Quantities and mixture</h2>
            <table><tbody>
                @foreach ($ledger->lines as $line)<tr><td>{{ $line->label }}</td><td class="num">{{ $volume($line->ml) }}</td><td class="num">± {{ $volume($line->plusMinusMl) }}</td></tr>@endforeach
                <tr class="total"><th scope="row">In the circuit</th><td class="num">{{ $volume($ledger->contentMl) }}</td><td class="num">± {{ $volume($ledger->plusMinusMl) }}</td></tr>
                <tr><th scope="row">Old coolant left</th><td class="num">{{ $volume($ledger->oldMl) }}</td><td class="num">{{ $units->format($ledger->oldShare(), Unit::Percent) }}</td></tr>
                <tr><th scope="row">Capacity, room at the cold mark</th><td class="num">{{ $volume($ledger->capacityMl) }}</td><td class="num">{{ $volume($ledger->headspaceMl) }}</td></tr>
                <tr><th scope="row">Glycol, planned and reached</th><td class="num">{{ $units->format($state->plan->input->targetFraction, Unit::Percent) }}</td><td class="num">{{ $ledger->fraction() === null ? '–' : $units->format($ledger->fraction(), Unit::Percent) }}</td></tr>
            </tbody></table>
            @if ($state->plan->input->drains !== [])<p>Next change of the coolant: {{ Aqbel\Core\Plan\NextChange::after($state->plan->input, $units) }}.</p>@endif
            @if (($job->summary['watch'] ?? []) !== [])<p>Watch at the next visit: {{ implode('; ', $job->summary['watch']) }}.</p>@endif
        </section>
        @if ($overrides !== [])
            <section><h2>Passed over, with reasons</h2><ul>@foreach ($overrides as $id => $entry)<li><b>{{ StepCatalogue::of($state->steps[$id])->title($state->at($state->steps[$id], $now, $units)) }}</b>: {{ $entry->text('reason') }} <small>{{ $entry->person }}, {{ date('Y-m-d H:i', $entry->at) }}</small></li>@endforeach</ul></section>
        @endif
        @foreach (Stage::cases() as $stage)
            @php $steps = array_filter($state->steps, fn ($s) => $s->stage === $stage && $state->entriesOf($s->id) !== []); @endphp
            @continue ($steps === [])
            <section><h2>{{ $stage->value }} · {{ $stage->label() }}</h2>
                @foreach ($steps as $s)
                    @php $at = $state->at($s, $now, $units); $verdict = $state->verdictOf($s, $now); @endphp
                    <h3>{{ StepCatalogue::of($s)->title($at) }} @if ($verdict)<small>{{ $verdict }}</small>@endif</h3>
                    <table><tbody>@foreach ($state->entriesOf($s->id) as $entry)
                        <tr><td class="when">{{ date('m-d H:i', $entry->at) }}</td><td>{{ $entry->said }}@if ($entry->correction) <small>(corrected {{ date('H:i', $entry->correction['at']) }} by {{ $entry->correction['by'] }}@if ($entry->correction['reason']): {{ $entry->correction['reason'] }}@endif)</small>@endif</td><td class="who">{{ $entry->person }}</td></tr>
                    @endforeach</tbody></table>
                @endforeach
            </section>
        @endforeach
        @if ($state->photos() !== [])<section><h2>Photographs</h2><x-photos :photos="$state->photos()"/></section>@endif
        <footer class="record-foot"><p>The vehicle’s service manual outranks this record’s predictions. Old coolant is regulated waste.</p><p class="signature">Signature</p></footer>
    </article>
</x-layout>
