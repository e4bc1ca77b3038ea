<form method="post" action="/clock" class="{{ $notice }} flex flex-wrap items-center gap-x-[18px] gap-y-2.5" role="status">
    @csrf
    <span class="flex flex-[1_1_420px] items-center gap-2.5">
        @icon('clock-alert')<span>This machine’s clock jumped on {{ date('j M \a\t H:i', (int) $clock->noticedAt) }} and shows
        {{ date('j M, H:i', (int) $clock->wall) }}. Times here go on by what really passed: it is {{ date('j M, H:i', (int) $clock->shopTime()) }}.</span>
    </span>
    @if ($person?->may(App\Models\Right::SetClock))
        <button class="button button-quiet">The machine is right now</button>
    @else
        <span>A lead puts it right.</span>
    @endif
</form>
