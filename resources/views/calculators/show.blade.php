<x-layout :title="$calculator->title.', bench'">
    <header class="page-head">
        <h1>Bench</h1>
        <p>The calculators a job uses, on their own. Type any unit: 3 qt, 1,5 l, 21 inHg.</p>
    </header>
    <nav class="choices bench-tabs" aria-label="Calculators">
        @foreach ($calculators as $one)
            <a class="button button-quiet" href="/bench/{{ $one->name }}" @if ($one === $calculator) aria-current="page" @endif>{{ $one->title }}</a>
        @endforeach
    </nav>
    <div class="bench">
        <form method="get" action="/bench/{{ $calculator->name }}" class="sheet" data-calculator>
            <h2>{{ $calculator->title }}</h2>
            <div class="fields">
                @foreach ($calculator->fields as $field)
                    @include('layouts.field', ['field' => $field, 'units' => $units, 'value' => $typed[$field->name] ?? '', 'prefix' => ''])
                @endforeach
            </div>
            <noscript><button class="button button-go button-wide">Compute</button></noscript>
        </form>
        <div class="sheet" data-answer aria-live="polite">@include('calculators.answer')</div>
    </div>
</x-layout>
