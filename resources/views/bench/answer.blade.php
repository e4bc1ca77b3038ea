@php use Aqbel\Core\Quantity\UnitSystem; @endphp
<h2>Result</h2>
@foreach ($problems as $field => $problem)<p class="error">@icon('triangle-alert')<span><b>{{ collect($calculator->fields)->firstWhere('name', $field)?->label ?? $field }}</b>: {{ $problem }}</span></p>@endforeach
@if ($answer !== null)
    <table class="list bench-result">@php $fixed = collect($answer)->every(fn ($value) => is_array($value) && $value[1] instanceof Aqbel\Core\Quantity\Unit); @endphp<thead><tr>@if ($fixed)<th scope="col">Unit</th><th scope="col" colspan="2">Value</th>@else<th scope="col">What</th><th scope="col">Metric</th><th scope="col">US</th>@endif</tr></thead><tbody>
        @foreach ($answer as $label => $value)
            @if (is_array($value) && $value[1] instanceof Aqbel\Core\Quantity\Unit)<tr><th scope="row">{{ $label }}</th><td colspan="2">{{ UnitSystem::Metric->format(...$value) }}</td></tr>
            @elseif (is_array($value))<tr><th scope="row">{{ $label }}</th><td>{{ UnitSystem::Metric->format(...$value) }}</td><td>{{ UnitSystem::UsCustomary->format(...$value) }}</td></tr>
            @else<tr><th scope="row">{{ $label }}</th><td colspan="2">{{ $value }}</td></tr>@endif
        @endforeach
    </tbody></table>
@endif
<p class="help"><b>{{ $calculator->formula }}</b></p>
<p class="help">{{ $calculator->source }}</p>
