<header class="step-head">
    <p class="step-stage font-gauge text-[1rem]/[normal] font-semibold text-quiet short:hidden">{{ $page->step->stage->label() }}</p>
    <h1 id="step-title" tabindex="-1">{{ $page->title() }}</h1>
    @unless ($page->started())<p class="why danger:hidden mt-1 max-w-[68ch] text-[1rem]/[1.4] text-quiet">{{ $page->why() }}</p>@endunless
</header>
@if ($page->ahead)
    <p class="ahead mt-3 flex flex-wrap items-center gap-2.5 bg-sunk px-3.5 py-2.5">@icon('eye'){{ $page->started() ? 'Begun, not finished: an earlier step comes first.' : 'Still to come.' }} <a href="/jobs/{{ $page->job->id }}">Back to the step in hand</a></p>
@elseif ($page->done)
    <p class="ahead mt-3 flex flex-wrap items-center gap-2.5 bg-sunk px-3.5 py-2.5">
        @icon('circle-check'){{ $page->finished()->said() }}
        <a href="/jobs/{{ $page->job->id }}" data-key="h" data-key-label="Step in hand">Step in hand</a>
    </p>
@endif
@if ($page->inHandAgain())<p class="ahead mt-3 flex flex-wrap items-center gap-2.5 bg-sunk px-3.5 py-2.5">@icon('rotate-ccw'){{ $page->inHandAgain() }}</p>@endif
@php $earlier = "/jobs/{$page->job->id}?step=".urlencode($page->step->id).'&earlier=1'; @endphp
@php [$fed, $leads] = [$page->fed()->sends(), $page->fed()->sends() && ! $page->isDanger()]; @endphp
@if ($leads)@include('run.instruments')@endif
@if (! $leads && $page->level())<x-level :level="$page->level()"/>@endif
@if ($page->clock() && ! $page->clock()->clock->estimate)<x-clock :face="$page->clock()"/>@endif
@if ($page->verdict)<x-verdict :verdict="$page->verdict"/>@endif
@if (! $fed && ! $page->earlier()->silentFor() && $page->clock()?->clock->estimate)
    <x-clock :face="$page->clock()"/>
@endif
@error ('finish')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
@include('run.cautions')
@unless ($page->started())@include('run.instructions')@endunless
@if ($page->earlier()->isTold() && ! $page->isDanger())
    <p class="ahead mt-3 flex flex-wrap items-center gap-2.5 bg-sunk px-3.5 py-2.5">@icon('rotate-ccw')Told of an earlier time. <a href="/jobs/{{ $page->job->id }}" data-key="h" data-key-label="Back to now">Back to now</a></p>
    @include('run.late')
@else
@include('run.scale')
@if ($page->docked() !== [])
    @php $byHand = fn ($shown) => $shown->form->fields !== [] && ! ($page->fed()->startsByHand && $shown->open); @endphp
    @php $isTall = array_filter($page->docked(), fn ($shown) => $shown->isTall()) !== []; @endphp
    <div @class(["dock danger:[&>form:first-child_.button]:min-h-[104px] danger:[&>form:first-child_.button]:text-[2rem] sticky bottom-12 z-2 grid max-h-[calc(100dvh-200px)] grid-cols-[repeat(auto-fit,minmax(min(100%,190px),1fr))] gap-2 overflow-y-auto border-t-3 border-dashed border-level bg-panel py-2.5 max-[560px]:static max-[560px]:max-h-none [.caution~&]:static", 'static! max-h-none!' => $isTall])>
        @if (! $fed && ! $page->isDanger() && $silent = $page->earlier()->silentFor())
            <p class="col-span-full">By the journal it runs, and nothing was entered for {{ $silent }}. Off before now? <a href="{{ $earlier }}">Say when</a></p>
        @endif
        @foreach ($page->docked() as $shown)@unless ($fed && $byHand($shown))@include('run.form')@endunless @endforeach</div>
    @if ($fed && array_filter($page->docked(), $byHand) !== [])
        <details class="mt-3"><summary class="py-2.5">Read by hand…</summary>@foreach (array_filter($page->docked(), $byHand) as $shown)@include('run.form')@endforeach</details>
    @endif
@endif
@if ($page->instead() !== [])
    <p class="mt-3 flex flex-wrap items-center gap-2 text-quiet">If it comes first:
        @foreach ($page->instead() as $other)<a class="button button-quiet" href="{{ $other->href }}">{{ $other->title }}</a>@endforeach
    </p>
@endif
@foreach ($page->aside() as $shown)@include('run.form')@endforeach
@if (! $page->signs() && $page->sheet === null && $page->earlier()->isOffered())
    <p class="mt-3"><a class="button button-quiet button-wide" href="{{ $earlier }}" data-key="l" data-key-label="It happened earlier">It happened earlier…</a></p>
@endif
@endif
@unless ($leads)@include('run.instruments')@endunless
@foreach ($page->tables() as $table)<x-numbers :table="$table"/>@endforeach
@if ($trace = $page->trace())<x-trace :picture="$trace"/>@endif
@if ($page->started())
    <p class="why mt-1 max-w-[68ch] text-[1rem]/[1.4] text-quiet">{{ $page->why() }}</p>
    @include('run.instructions')
@endif
@include('run.evidence')
@include('run.photos')
@if ($page->done)@include('run.late')@endif
@if (! $page->done && ! $page->ahead)@include('run.finish')@endif
