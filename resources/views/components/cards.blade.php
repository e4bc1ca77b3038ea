<ul {{ $attributes->class('grid grid-cols-[repeat(auto-fill,minmax(min(100%,420px),1fr))] gap-[18px]') }}>{{ $slot }}</ul>
