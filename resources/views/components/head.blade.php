{{-- The head of a page: its name, what it is, and what is pressed there on the right. --}}
<header {{ $attributes->class('mb-4 flex flex-wrap items-baseline gap-x-5 gap-y-2 [&>.button]:ml-auto') }}>{{ $slot }}</header>
