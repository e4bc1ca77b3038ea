{{-- How something stands, in a word: pass, wait or stop. --}}
@props(['tone', 'icon' => null, 'tag' => 'p'])
<{{ $tag }} @class(['flex items-center gap-2 font-gauge text-xl/tight font-semibold', 'text-pass' => $tone === 'pass', 'text-wait' => $tone === 'wait', 'text-stop' => $tone === 'stop']) data-state>@if ($icon)@icon($icon)@endif<span>{{ $slot }}</span></{{ $tag }}>
