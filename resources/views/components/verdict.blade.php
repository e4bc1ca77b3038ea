@props(['verdict'])
<section @class(["verdict verdict-{$verdict->tone->value} my-2 flex gap-3.5 border-l-8 px-4 py-2 [&>svg]:size-[34px] short:py-1.5", 'danger:grid danger:min-h-[34vh] danger:grid-cols-[auto_1fr] danger:items-center danger:gap-6 danger:border-0 danger:bg-alarm danger:px-8 danger:py-6 danger:text-white danger:[&>svg]:size-[120px]' => $stop = $verdict->tone === Aqbel\Core\Saying\Tone::Stop]) aria-live="polite" aria-label="Verdict">
    @icon(['pass' => 'circle-check', 'wait' => 'hourglass', 'stop' => 'octagon-x'][$verdict->tone->value])
    <div>
        <h2 @class(['text-[1.5rem]', 'danger:text-[clamp(2.75rem,8vw,5.5rem)] danger:leading-none' => $stop])>@said($verdict->title)</h2>
        <p @class(['text-ink leading-[1.35] short:text-[1rem]', 'danger:max-w-[60ch] danger:text-[1.5rem] danger:text-white' => $stop])>@said($verdict->reason)</p>
    </div>
</section>
