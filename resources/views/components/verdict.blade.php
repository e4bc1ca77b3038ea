@props(['verdict'])
<section class="verdict verdict-{{ $verdict->tone->value }}" aria-live="polite" aria-label="Verdict">
    @icon(['pass' => 'circle-check', 'wait' => 'hourglass', 'stop' => 'octagon-x'][$verdict->tone->value])
    <div><h2>@said($verdict->title)</h2><p>@said($verdict->reason)</p></div>
</section>
