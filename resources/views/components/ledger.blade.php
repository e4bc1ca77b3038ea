@props(['ledger', 'units', 'retained' => null])
@php
    use Aqbel\Core\Quantity\Dimension;
    use Aqbel\Core\Quantity\Unit;
    $volume = fn (float $ml) => $units->format($ml, Dimension::Volume);
    $share = fn (?float $fraction) => $fraction === null ? '–' : $units->format($fraction, Unit::Percent);
    $air = $ledger->trappedAirMl();
    $started = $ledger->lines !== [];
@endphp
<details class="ledger">
    <summary aria-label="Ledger in full">
        <span>In <b>{{ $volume($ledger->inMl()) }}</b></span>
        <span>Out <b>{{ $volume($ledger->outMl()) }}</b></span>
        <span>Content <b>{{ $started ? $volume(max(0, $ledger->contentMl)).' ± '.$units->format($ledger->plusMinusMl, Dimension::Volume, false) : 'not read' }}</b></span>
        <span>Glycol <b>{{ $share($ledger->fraction()) }}</b></span>
        <span>Room left <b>{{ $started ? $volume(max(0, $air)).' ± '.$units->format($ledger->trappedAirPlusMinusMl(), Dimension::Volume, false) : '–' }}</b></span>
    </summary>
    <table><thead><tr><th scope="col">What</th><th scope="col">Volume</th><th scope="col">±</th><th scope="col">Content then</th><th scope="col">Glycol then</th><th scope="col">Void then</th></tr></thead><tbody>
        @forelse ($ledger->steps as $step)<tr><td>{{ $step['line']->label }}</td><td>{{ $volume($step['line']->ml) }}</td><td>{{ $volume($step['line']->plusMinusMl) }}</td><td>{{ $volume($step['content']) }}</td><td>{{ $share($step['fraction']) }}</td><td>{{ $volume($ledger->capacityMl - $step['content']) }}</td></tr>
        @empty<tr><td colspan="6">Nothing has gone in or out yet. The first line is the content found.</td></tr>@endforelse
        @if ($started)<tr class="ledger-total"><td>Capacity {{ $volume($ledger->capacityMl) }}, air in the tank at the mark {{ $volume($ledger->headspaceMl) }}</td><td></td><td>{{ $volume($ledger->plusMinusMl) }}</td><td>{{ $volume(max(0, $ledger->contentMl)) }}</td><td>{{ $share($ledger->fraction()) }}</td><td>{{ $volume($ledger->voidMl()) }}</td></tr>
            @if ($retained !== null)<tr><td colspan="3">Retained when the fill began</td><td>{{ $volume(max(0, $retained->contentMl)) }}</td><td>{{ $share($retained->fraction()) }}</td><td></td></tr>@endif
            @if ($ledger->oldMl > 1.0)<tr><td colspan="3">Of the coolant that was in it</td><td>{{ $volume($ledger->oldMl) }}</td><td>{{ $share($ledger->oldShare()) }}</td><td></td></tr>@endif @endif
    </tbody></table>
</details>
