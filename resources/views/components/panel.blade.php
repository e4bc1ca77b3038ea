{{-- What belongs together on a page of settings or facts. --}}
@props(['tag' => 'section'])
<{{ $tag }} {{ $attributes->class('grid content-start gap-3 bg-panel px-5 py-[18px] [&>.button]:justify-self-start') }}>{{ $slot }}</{{ $tag }}>
