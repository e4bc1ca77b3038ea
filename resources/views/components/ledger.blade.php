@props(['ledger', 'units'])
@php
    $volume = fn (float $ml) => $units->format($ml, Aqbel\Core\Quantity\Dimension::Volume);
    $air = $ledger->trappedAirMl();
    $started = $ledger->lines !== [];
@endphp
<details class="ledger">
    <summary aria-label="Ledger in full">
        <span>In <b>{{ $volume($ledger->inMl()) }}</b></span>
        <span>Out <b>{{ $volume($ledger->outMl()) }}</b></span>
        <span>Content <b>{{ $started ? $volume(max(0, $ledger->contentMl)).' ± '.$units->format($ledger->plusMinusMl, Aqbel\Core\Quantity\Dimension::Volume, false) : 'not read' }}</b></span>
        <span>Glycol <b>{{ $ledger->fraction() === null ? '–' : $units->format($ledger->fraction(), Aqbel\Core\Quantity\Unit::Percent) }}</b></span>
        <span>Room left <b>{{ $started ? $volume(max(0, $air)).' ± '.$units->format($ledger->trappedAirPlusMinusMl(), Aqbel\Core\Quantity\Dimension::Volume, false) : '–' }}</b></span>
    </summary>
    <table><thead><tr><th scope="col">What</th><th scope="col">Volume</th><th scope="col">±</th></tr></thead><tbody>
        @forelse ($ledger->lines as $line)<tr><td>{{ $line->label }}</td><td>{{ $volume($line->ml) }}</td><td>{{ $volume($line->plusMinusMl) }}</td></tr>
        @empty<tr><td colspan="3">Nothing has gone in or out yet. The first line is the content found.</td></tr>@endforelse
    </tbody></table>
</details>
