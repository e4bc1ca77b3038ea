<x-layout :title="$page->title().' · '.$page->job->vehicle->plate" wide>
    <div class="run">
        @include('run.rail')
        <section class="step" aria-labelledby="step-title">
            <header class="step-head">
                <p class="step-stage">{{ $page->step->stage->value }} · {{ $page->step->stage->label() }}</p>
                <h1 id="step-title">{{ $page->title() }}</h1>
                <p class="why">{{ $page->why() }}</p>
            </header>
            @if ($page->ahead)
                <p class="ahead">@icon('eye')Still to come. <a href="/jobs/{{ $page->job->id }}">Back to the step in hand</a></p>
            @elseif ($page->done)
                <p class="ahead">
                    @icon('circle-check'){{ $page->finished() }}
                    <a href="/jobs/{{ $page->job->id }}" data-key="h" data-key-label="Step in hand">Step in hand</a>
                </p>
            @endif
            @if ($page->job->rests_until?->isFuture())
                <p class="ahead">@icon('hourglass')Rests until {{ $page->job->rests_until->format('Y-m-d H:i') }}. The next entry wakes it.</p>
            @endif
            @if ($page->newerRevision())
                <p class="ahead">@icon('triangle-alert')The circuit was changed since this was planned. <a href="/jobs/{{ $page->job->id }}/manage">Look</a></p>
            @endif
            @if ($page->inHandAgain())<p class="ahead">@icon('rotate-ccw'){{ $page->inHandAgain() }}</p>@endif
            @if ($page->level())<x-level :level="$page->level()"/>@endif
            @if ($page->clock())<x-clock :face="$page->clock()"/>@endif
            @if ($page->verdict)<x-verdict :verdict="$page->verdict"/>@endif
            @foreach ($page->tables() as $table)<x-numbers :table="$table"/>@endforeach
            @error ('finish')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
            @foreach ($page->cautions() as $hazard)
                <form method="post" action="/jobs/{{ $page->job->id }}/cautions" class="caution" data-send>
                    @include('run.sent', ['step' => $page->step->id, 'stay' => false])
                    <input type="hidden" name="hazard" value="{{ $hazard->value }}">
                    @icon('triangle-alert')<p><b>{{ $hazard->title() }}.</b> {{ $hazard->caution() }}</p>
                    <button class="button button-quiet" @if ($loop->first) data-key="a" data-key-label="Acknowledge caution" @endif>Read</button>
                </form>
            @endforeach
            @unless ($page->started())@include('run.instructions')@endunless
            @foreach ($page->forms() as $shown)@include('run.form')@endforeach
            @if ($trace = $page->trace())<x-trace :picture="$trace"/>@endif
            @if ($page->started())@include('run.instructions')@endif
            @include('run.evidence')
            @include('run.photos')
            @if (! $page->done && ! $page->ahead)@include('run.finish')@endif
        </section>
        <aside class="beside" aria-label="Circuit and ledger"><x-elevation :picture="$page->picture()"/></aside>
        <x-ledger :table="$page->ledger()"/>
    </div>
</x-layout>
