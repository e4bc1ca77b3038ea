@php
    use Aqbel\Core\Job\Stage;
    use Aqbel\Core\Steps\StepCatalogue;
    $done = isset($state->closed[$step->id]);
    $figure = $kind->figure($at);
    $judgement = $kind->judge($at);
    $clock = $done ? null : $kind->clock($at);
    $forms = $done || $ahead ? [] : $kind->forms($at);
    $obstacles = $done || $ahead ? [] : [...App\Journal\Recorder::cautions($at), ...$kind->obstacles($at)];
    $hard = collect($obstacles)->contains(fn ($o) => $o->hard);
    $failedForm = old('form');
@endphp
<x-layout :title="$kind->title($at).' · '.$job->vehicle->plate" wide>
    <div class="run">
        <aside class="rail" aria-label="Stages and steps">
            <p class="rail-job"><b>{{ $job->vehicle->plate }}</b> {{ $job->vehicle->name }}<small>{{ $job->number() }} · {{ $job->reason }} · <a href="/jobs/{{ $job->id }}/record">record so far</a></small></p>
            <ol class="rail-stages">
                @foreach (Stage::cases() as $stage)
                    @php
                        $steps = array_filter($state->steps, fn ($s) => $s->stage === $stage);
                        $open = array_filter($steps, fn ($s) => ! isset($state->closed[$s->id]));
                        $current = $step->stage === $stage;
                    @endphp
                    <li @class(['stage', 'is-done' => $open === [], 'is-current' => $current])>
                        <span class="stage-name"><i>{{ $stage->value }}</i>{{ $stage->label() }}</span>
                        @if ($current)
                            <ol class="stage-steps">
                                @foreach ($steps as $s)
                                    <li><a href="/jobs/{{ $job->id }}?step={{ urlencode($s->id) }}" @class(['is-done' => isset($state->closed[$s->id]), 'is-passed' => ($state->closed[$s->id] ?? null)?->form === 'override']) @if ($s->id === $step->id) aria-current="step" @endif>{{ StepCatalogue::of($s)->title($state->at($s, $now, $units)) }}</a></li>
                                @endforeach
                            </ol>
                        @else
                            <a class="stage-link" href="/jobs/{{ $job->id }}?step={{ urlencode(array_key_first($open ?: $steps) ?? $step->id) }}" aria-label="{{ $stage->label() }}: {{ count($steps) - count($open) }} of {{ count($steps) }} done">{{ count($steps) - count($open) }}/{{ count($steps) }}</a>
                        @endif
                    </li>
                @endforeach
            </ol>
        </aside>

        <section class="step" aria-labelledby="step-title">
            <header class="step-head">
                <p class="step-stage">{{ $step->stage->value }} · {{ $step->stage->label() }}</p>
                <h1 id="step-title">{{ $kind->title($at) }}</h1>
                <p class="why">{{ $kind->why($at) }}</p>
            </header>

            @if ($ahead)
                <p class="ahead">@icon('eye')Still to come. <a href="/jobs/{{ $job->id }}">Back to the step in hand</a></p>
            @elseif ($done)
                <p class="ahead">@icon('circle-check')Finished by {{ $state->closed[$step->id]->person }} at {{ date('H:i', $state->closed[$step->id]->at) }}@if ($state->closed[$step->id]->form === 'override'), passed over: “{{ $state->closed[$step->id]->text('reason') }}”@endif. <a href="/jobs/{{ $job->id }}" data-key="h" data-key-label="Step in hand">Step in hand</a></p>
            @endif

            @if ($figure)<x-level :figure="$figure" :units="$units"/>@endif
            @if ($clock)<x-clock :clock="$clock" :now="$now"/>@endif
            @if ($judgement)<x-verdict :judgement="$judgement"/>@endif
            @unless ($ahead)@foreach ($kind->tables($at) as $table)<x-numbers :table="$table"/>@endforeach @endunless

            @error ('finish')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror

            @if (! $done && ! $ahead)
                @foreach (array_filter($kind->hazards($at), fn ($hazard) => ! $state->hasAcknowledged($hazard->value)) as $hazard)
                        <form method="post" action="/jobs/{{ $job->id }}/cautions" class="caution" data-send>
                            @csrf<input type="hidden" name="key" value="{{ Str::uuid() }}"><input type="hidden" name="step" value="{{ $step->id }}"><input type="hidden" name="hazard" value="{{ $hazard->value }}">
                            @icon('triangle-alert')<p><b>{{ $hazard->title() }}.</b> {{ $hazard->caution() }}</p>
                            <button class="button button-quiet" @if ($loop->first) data-key="a" data-key-label="Acknowledge caution" @endif>Read</button>
                        </form>
                @endforeach
            @endif

            {{-- Before the first entry the instructions lead; afterwards the next entry does. --}}
            @php $started = $at->entries() !== []; @endphp
            @unless ($started)@include('run.instructions')@endunless

            @foreach ($forms as $form)
                @php
                    // What has been recorded folds away once the step can be finished: the next thing to press is Finish.
                    $shown = ($form->main && ! ($obstacles === [] && $at->has($form->name))) || $failedForm === $form->name;
                    $attributesFor = ['key' => $loop->first ? 'e' : (string) ($loop->index + 1)];
                @endphp
                <form method="post" action="/jobs/{{ $job->id }}/entries" @class(['entry', 'entry-main' => $form->main && $shown, 'entry-bare' => $form->fields === []]) data-send>
                    @csrf<input type="hidden" name="key" value="{{ Str::uuid() }}"><input type="hidden" name="step" value="{{ $step->id }}"><input type="hidden" name="form" value="{{ $form->name }}"><input type="hidden" name="stay" value="1">
                    @if ($form->fields === [])
                        <button @class(['button', 'button-wide', 'button-go' => $form->main]) data-key="{{ $attributesFor['key'] }}" data-key-label="{{ $form->button }}">{{ $form->button }}</button>
                    @elseif ($shown)
                        @if ($form->note !== '')<p class="help">{{ $form->note }}</p>@endif
                        <div class="fields">@foreach ($form->fields as $field)<x-field :field="$field" :units="$units" :prefix="$form->name.'-'"/>@endforeach</div>
                        <button @class(['button', 'button-wide', 'button-go' => $loop->first]) data-key="{{ $attributesFor['key'] }}" data-key-label="{{ $form->button }}" data-key-focus>{{ $form->button }}</button>
                    @else
                        <details>
                            <summary class="button button-quiet button-wide" data-key="{{ $attributesFor['key'] }}" data-key-label="{{ $form->button }}">{{ $form->button }}…</summary>
                            <div class="fields">@foreach ($form->fields as $field)<x-field :field="$field" :units="$units" :prefix="$form->name.'-'"/>@endforeach</div>
                            <button class="button button-wide">{{ $form->button }}</button>
                        </details>
                    @endif
                </form>
            @endforeach

            @if ($started)@include('run.instructions')@endif

            @include('run.evidence', ['entries' => $at->entries()])
            @include('run.photos')

            @if (! $done && ! $ahead)
                <form method="post" action="/jobs/{{ $job->id }}/finish" class="finish" data-send>
                    @csrf<input type="hidden" name="key" value="{{ Str::uuid() }}"><input type="hidden" name="step" value="{{ $step->id }}">
                    @if ($obstacles !== [])
                        <ul class="obstacles" aria-label="Before this step is finished">@foreach (array_slice($obstacles, 0, 6) as $obstacle)<li @class(['is-hard' => $obstacle->hard])>@icon($obstacle->hard ? 'octagon-x' : 'square'){{ $obstacle->text }}</li>@endforeach</ul>
                    @endif
                    @if ($obstacles === [])
                        <button class="button button-finish" data-key="d" data-key-label="Finish the step">{{ $step->kind === 'sign_off' ? 'Sign the record' : 'Finish step' }}</button>
                    @elseif (! $hard)
                        <details @if ($errors->has('reason') || old('reason')) open @endif>
                            <summary class="button button-quiet" data-key="o" data-key-label="Pass over with a reason">Pass over with a reason…</summary>
                            <label for="reason">Reason, kept in the record</label>
                            <input id="reason" name="reason" type="text" maxlength="500" value="{{ is_string(old('reason')) ? old('reason') : '' }}" autocomplete="off" @error('reason') aria-invalid="true" aria-describedby="reason-error" @enderror>
                            @error ('reason')<p class="error" id="reason-error">@icon('triangle-alert'){{ $message }}</p>@enderror
                            <button class="button">Pass over</button>
                        </details>
                    @endif
                </form>
            @endif
        </section>

        <aside class="beside" aria-label="Circuit and ledger">
            @php
                $pockets = $state->plan->input->school === 'gravity' && $step->stage->value >= Stage::Fill->value && $step->stage->value < Stage::Prove->value && ! in_array($step->kind, ['open_bleeds', 'bleed'], true)
                    ? array_map(fn ($k) => ['text' => $units->format($k['volume_ml'], Aqbel\Core\Quantity\Dimension::Volume).' air', 'passages' => $k['passages']], array_slice($state->plan->predicted['fill']['pockets'], 0, 3)) : [];
            @endphp
            <x-elevation :pockets="$pockets" :circuit="$state->circuit" :runs="$job->summary['runs'] ?? null" :states="$job->summary['ports'] ?? []" :focus="$kind->port($step)"/>
        </aside>
        <x-ledger :ledger="$ledger" :units="$units" :retained="$step->stage->value >= Stage::Fill->value ? $state->ledgerBefore(Stage::Fill) : null"/>
    </div>
</x-layout>
