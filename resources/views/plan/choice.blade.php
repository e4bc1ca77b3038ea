{{-- What follows from a choice, in one answer: the plan itself, and what else could be done. --}}
<div data-fragment="plan">{!! $worked->plan() !!}</div>
<div data-fragment="besides">{!! $worked->besides() !!}</div>
