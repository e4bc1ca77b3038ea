{{-- What follows from a choice, in one answer: the plan itself, and what else could be done. --}}
<div class="contents aria-busy:*:opacity-55" data-fragment="plan">{!! $worked->plan() !!}</div>
<div class="contents aria-busy:*:opacity-55" data-fragment="besides">{!! $worked->besides() !!}</div>
