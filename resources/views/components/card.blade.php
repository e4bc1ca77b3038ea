{{-- A circuit or a layout, to be chosen by its picture. --}}
@props(['href', 'picture', 'title'])
<li><a class="block border-t-5 border-coolant bg-panel p-3 text-ink no-underline" href="{{ $href }}">
    <x-outline :src="$picture"/>
    <b>{{ $title }}</b><small class="block">{{ $slot }}</small>
</a></li>
