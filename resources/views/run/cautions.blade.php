@if ($page->unread !== [] && $page->readWithTheEntry)
    <div class="caution my-2 grid grid-cols-[auto_1fr] items-center gap-3.5 border-2 border-stop px-3.5 py-2.5 max-[760px]:grid-cols-1 max-[760px]:[&>svg]:hidden [&>svg]:size-[30px] [&>svg]:text-stop">
        @icon('triangle-alert')
        <div class="grid gap-1 text-[1rem]/[1.35]">@foreach ($page->unread as $caution)
            <p><b>{{ $caution->hazard->title() }}.</b> {{ $caution->hazard->caution() }}</p>@endforeach</div>
    </div>
@elseif ($page->unread !== [])
    <form method="post" action="/jobs/{{ $page->job->id }}/cautions"
        class="caution my-2 grid grid-cols-[auto_1fr_auto] items-center gap-3.5 border-2 border-stop px-3.5 py-2.5 max-[760px]:grid-cols-1
        max-[760px]:[&>svg]:hidden [&>svg]:size-[30px] [&>svg]:text-stop" data-send>
        @include('run.sent', ['step' => $page->step->id, 'stay' => $page->sheet === null])
        @icon('triangle-alert')
        <div class="grid gap-1 text-[1rem]/[1.35]">
            @foreach ($page->unread as $caution)
                <input type="hidden" name="hazards[{{ $caution->hazard->value }}]" value="{{ $caution->step }}">
                <p><b>{{ $caution->hazard->title() }}.</b> {{ $caution->hazard->caution() }}</p>
            @endforeach
        </div>
        <button class="button button-quiet" data-key="a" data-key-label="Cautions read">Read</button>
    </form>
@endif
@foreach ($page->toRead->shown as $hazard)
    <p class="mt-2 flex gap-2.5 text-[1rem]/[1.35] [&>svg]:text-stop">@icon('triangle-alert')<span><b>{{ $hazard->title() }}.</b> {{ $hazard->caution() }}</span></p>@endforeach
