{{-- The cautions that stand above: who presses has read them. --}}
@if ($page->readWithTheEntry)
    @foreach ($page->unread as $caution)<input type="hidden" name="hazards[{{ $caution->hazard->value }}]" value="{{ $caution->step }}">@endforeach
@endif
