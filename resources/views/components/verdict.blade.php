@props(['verdict'])
<section class="verdict verdict-{{ $verdict->tone->value }}" aria-live="polite" aria-label="Verdict">
    @icon(['pass' => 'circle-check', 'wait' => 'hourglass', 'stop' => 'octagon-x'][$verdict->tone->value])
    <div><h2>{{ $verdict->title }}</h2><p>{{ $verdict->reason }}</p></div>
</section>
