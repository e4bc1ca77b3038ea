{{-- Where nothing is to be shown yet: what would be here, and the way to the first of it. --}}
@props(['tag' => 'section'])
<{{ $tag }} {{ $attributes->class('max-w-[640px] border-t-[5px] border-coolant bg-panel p-8 [&_p]:mt-2') }}>{{ $slot }}</{{ $tag }}>
