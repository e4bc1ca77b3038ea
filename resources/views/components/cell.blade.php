{{-- A field in a row of many, its label above it or at the head of its column. --}}
<input {{ $attributes->class('w-full min-w-0 rounded-sm border border-quiet bg-panel px-2.5 text-ink') }}>
