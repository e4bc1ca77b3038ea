{{-- What every entry carries: the key that makes it count once, who typed it, and the step it belongs to. --}}
@csrf
<input type="hidden" name="key" value="{{ Str::random(32) }}">
<input type="hidden" name="by" value="{{ auth()->id() }}">
<input type="hidden" name="step" value="{{ $step }}">
@if ($stay)<input type="hidden" name="stay" value="1">@endif
