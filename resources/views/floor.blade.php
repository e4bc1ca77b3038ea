<x-layout title="Floor" about="shop">
    <div id="floor" data-live>
    <x-head>
        <h1>Floor</h1>
        <p>
            {{ $page->all - $page->onClock }} {{ Str::plural('vehicle', $page->all - $page->onClock) }} waiting for hands, {{ $page->onClock }} on a clock. <a href="/practice" class="inline-flex min-h-11 items-center">Practice</a>
        </p>
        <a class="button button-go" href="/jobs/new" data-key="n" data-key-label="Plan a job">@icon('plus')Plan a job</a>
    </x-head>
    @if ($page->isEmpty())
        @include('floor.visits')
        <x-empty>
            <h2>No vehicle is open</h2>
            <p>
                Plan a job: choose the vehicle, what was opened and the way of filling, and Aqbel lays out the sequence with its
                volumes, waits and checks.
            </p>
            @if ($page->readiness() !== [])
                <h2>Getting ready</h2>
                <ul class="mb-4 grid gap-1">
                    @foreach ($page->readiness() as [$what, $where, $done])
                        <li @class(['flex min-h-11 items-center gap-2.5', 'text-pass' => $done])>@icon($done ? 'circle-check' : 'square')<a class="inline-flex min-h-11 min-w-11 items-center" href="{{ $where }}">{{ $what }}</a></li>
                    @endforeach
                </ul>
            @endif
            @if ($page->hasNoVehicle())<p><a class="button button-go" href="/vehicles/new">@icon('plus')Add the first vehicle</a></p>@endif
        </x-empty>
    @else
        <section class="grid max-[560px]:min-w-0" aria-label="Open jobs by when hands are needed">
            <ol class="max-[560px]:min-w-0" aria-label="On a clock">@include('floor.jobs', ['jobs' => $page->waiting, 'ground' => ''])</ol>
            <p class="flex items-baseline gap-3 border-t-4 border-level px-4 py-1 font-semibold text-level"><b class="font-gauge text-[1.5rem]/[normal] font-semibold">now</b><span>{{ date('H:i', $page->now) }}</span><i class="ml-auto text-[0.9375rem] font-normal text-quiet not-italic">above: on a clock · below: waiting for hands</i></p>
            <ol class="max-[560px]:min-w-0"
                aria-label="Waiting for hands">@include('floor.jobs', ['jobs' => $page->hands, 'ground' => 'bg-panel hover:bg-sunk'])</ol>
        </section>
        @include('floor.visits')
        @include('layouts.pages', ['paginator' => $page->pages])
        <x-lanes :chart="$page->lanes"/>
    @endif
    </div>
</x-layout>
