@if ($page->unread !== [] && $page->readWithTheEntry)
    <div class="caution">
        @icon('triangle-alert')
        <div>@foreach ($page->unread as $caution)<p><b>{{ $caution->hazard->title() }}.</b> {{ $caution->hazard->caution() }}</p>@endforeach</div>
    </div>
@elseif ($page->unread !== [])
    <form method="post" action="/jobs/{{ $page->job->id }}/cautions" class="caution" data-send>
        @include('run.sent', ['step' => $page->step->id, 'stay' => $page->sheet === null])
        @icon('triangle-alert')
        <div>
            @foreach ($page->unread as $caution)
                <input type="hidden" name="hazards[{{ $caution->hazard->value }}]" value="{{ $caution->step }}">
                <p><b>{{ $caution->hazard->title() }}.</b> {{ $caution->hazard->caution() }}</p>
            @endforeach
        </div>
        <button class="button button-quiet" data-key="a" data-key-label="Cautions read">Read</button>
    </form>
@endif
@foreach ($page->shownHazards() as $hazard)<p class="hazard">@icon('triangle-alert')<span><b>{{ $hazard->title() }}.</b> {{ $hazard->caution() }}</span></p>@endforeach
