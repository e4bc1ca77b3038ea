<li {{ $attributes->class('flex flex-wrap items-center gap-x-4 gap-y-1.5 bg-panel px-4 py-2') }}>{{ $slot }}</li>
