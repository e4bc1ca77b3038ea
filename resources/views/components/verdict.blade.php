@props(['judgement'])
@php $icons = ['pass' => 'circle-check', 'wait' => 'hourglass', 'stop' => 'octagon-x']; @endphp
<section class="verdict verdict-{{ $judgement->tone }}" aria-live="polite" aria-label="Verdict">
    @icon($icons[$judgement->tone])
    <div><h2>{{ $judgement->verdict }}</h2><p>{{ $judgement->reason }}</p></div>
</section>
