@component('pdf.page', ['title' => "For whoever drives {$sheet->job->vehicle->plate}", 'size' => 10.5, 'foot' => "Record {$sheet->job->number()} · {$sheet->shop->name} · the vehicle’s service manual comes first"])
<table><tr><td><h1>For whoever drives it</h1>
    <p><span class="plate">{{ $sheet->job->vehicle->plate }}</span> {{ $sheet->job->vehicle->name }}</p></td>
    <td class="num">{{ $sheet->shop->name }}<br>{{ ($sheet->job->signed_at ?? now())->format('Y-m-d') }}, record {{ $sheet->job->number() }}</td></tr></table>
<div class="bar"></div>
<p class="danger">Never open the cap of a warm engine: it scalds. Coolant is poisonous: keep it from children and animals.</p>
@foreach ([['What was done', $sheet->done()], ['What to top up with, and how much', $sheet->topUp()], ['What to watch for', $sheet->watch()], ['When to come', $sheet->come()]] as [$title, $lines])
    @continue ($lines === [])
    <h2>{{ $title }}</h2>
    <ul>@foreach ($lines as $line)<li>{{ $line }}</li>@endforeach</ul>
    @if ($loop->first)
        <h2>What is in it</h2>
        <table>@foreach ($sheet->inIt() as [$what, $is])<tr><td style="width: 45%">{{ $what }}</td><td><b>{{ $is }}</b></td>
            </tr>@endforeach</table>
    @endif
@endforeach
@if ($sheet->since() !== '')<p>{{ $sheet->since() }}</p>@endif
@endcomponent
