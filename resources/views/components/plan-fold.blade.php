{{-- What has a stated default, one press away. --}}
@props(['label', 'said', 'open'])
<details class="plan-fold" data-said-by-choices @if ($open) open @endif>
    <summary><span>{{ $label }}</span> <b data-said>{{ $said }}</b></summary>
    <div class="field">{{ $slot }}</div>
</details>
