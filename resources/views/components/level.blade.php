{{-- The level line: one number against the datum it is judged by, what is above it and what is below. --}}
@props(['level'])
<div class="level danger:hidden" role="group" aria-label="{{ $level->figure->label }}">
    <svg class="level-tube" viewBox="0 0 34 {{ $level::HEIGHT }}" aria-hidden="true" preserveAspectRatio="none">
        <rect x="5" y="0" width="24" height="{{ $level::HEIGHT }}" class="tube"/>
        @if ($level->figure->base !== null)
            <rect x="5" y="{{ $level::HEIGHT - $level->wet() }}" width="24" height="{{ $level->wet() }}" class="tube-wet"/>
        @endif
        @if ($level->band() !== null)<rect x="5" y="{{ $level->band()[0] }}" width="24" height="{{ $level->band()[1] }}"
            class="tube-band"/>@endif
        <line x1="0" x2="34" y1="{{ $level->mark() }}" y2="{{ $level->mark() }}" class="tube-datum"/>
    </svg>
    <div class="level-body">
        <p class="level-label">{{ $level->figure->label }} <small>{{ $level->figure->origin->label() }}</small></p>
        <p class="level-number"><span data-figure>{{ $level->text() }}</span> <small>{{ $level->unit().$level->within() }}</small></p>
        @if ($level->datum() !== null)
            <p class="level-datum"><span>{{ $level->figure->datumLabel }}</span> <b>{{ $level->datum() }}</b></p>@endif
    </div>
</div>
