{{-- People, vehicles, tablets: one under the other, each with what may be done with it. --}}
<ul class="grid gap-px bg-rule">{{ $slot }}</ul>
