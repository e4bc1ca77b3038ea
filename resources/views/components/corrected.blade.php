@props(['correction'])
<small>(corrected {{ date('H:i', $correction->at) }} by {{ $correction->by }}@if ($correction->reason !== ''): {{ $correction->reason }}@endif)</small>
