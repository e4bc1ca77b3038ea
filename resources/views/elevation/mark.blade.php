@php [$x, $y] = [$mark->x, $mark->y]; @endphp
<g @class(['el-port', 'el-port-'.($mark->state ?: 'shut'), 'el-focus' => $mark->focus]) data-port="{{ $mark->id }}" data-state="{{ $mark->state ?: 'shut' }}">
    <line x1="{{ $mark->at[0] }}" y1="{{ $mark->at[1] }}" x2="{{ $x }}" y2="{{ $y }}" class="el-stem"/>
    @if ($mark->focus)<circle cx="{{ $x }}" cy="{{ $y }}" r="21" class="el-ring"/>@endif
    @if ($mark->next && ! $mark->focus)<circle cx="{{ $x }}" cy="{{ $y }}" r="24" class="el-next"/>@endif
    @switch ($mark->kind->value)
        @case ('fill')<path d="M{{ $x - 15 }} {{ $y - 12 }} h30 l-9 24 h-12 z" class="el-mark"/>@break
        @case ('bleed')<path d="M{{ $x }} {{ $y - 17 }} l17 17 l-17 17 l-17 -17 z" class="el-mark"/>@break
        @default<rect x="{{ $x - 12 }}" y="{{ $y - 12 }}" width="24" height="24" rx="3" class="el-mark"/>
    @endswitch
    <text x="{{ $x }}" y="{{ $y + 5 }}" text-anchor="middle" class="el-number">{{ $mark->number }}</text>
</g>
