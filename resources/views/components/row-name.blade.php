{{-- Who or what a row is about, and a line about it. --}}
@props(['name', 'gone' => false])
<span class="flex-[1_1_200px]"><b @class(['text-quiet line-through' => $gone])>{{ $name }}</b><small class="block">{{ $slot }}</small></span>
