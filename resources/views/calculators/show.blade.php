<x-layout :title="$calculator->title.', bench'">
    <x-head>
        <h1>Bench</h1>
        <p>The calculators a job uses, on their own. Type any unit: 3 qt, 1,5 l, 21 inHg.</p>
    </x-head>
    <nav class="choices mb-4" aria-label="Calculators">
        @foreach ($calculators as $one)
            <a class="button button-quiet aria-[current]:bg-ink aria-[current]:text-panel aria-[current]:shadow-[inset_0_-5px_0_var(--color-coolant)]" href="/bench/{{ $one->name }}" @if ($one === $calculator) aria-current="page" @endif>{{ $one->title }}</a>
        @endforeach
    </nav>
    <div class="grid items-start gap-5 min-[761px]:grid-cols-2">
        <form method="get" action="/bench/{{ $calculator->name }}" class="sheet m-0 w-full max-w-none" data-calculator>
            <h2>{{ $calculator->title }}</h2>
            <div class="fields mt-3 grid-cols-1">
                @foreach ($calculator->fields as $field)
                    @include('layouts.field', ['field' => $field, 'units' => $units, 'value' => $typed[$field->name] ?? '', 'prefix' => ''])
                @endforeach
            </div>
            <noscript><button class="button button-go button-wide">Compute</button></noscript>
        </form>
        <div class="sheet m-0 w-full max-w-none" data-answer aria-live="polite">@include('calculators.answer')</div>
    </div>
</x-layout>
