@component('pdf.page', ['title' => "Cooling circuit record {$sheet->job->number()}, {$sheet->job->vehicle->plate}", 'size' => 7.4, 'foot' => "Record {$sheet->job->number()} · {$sheet->shop->name} · the vehicle’s service manual outranks this record’s predictions · Aqbel ".config('aqbel.version')])
<table><tr>
    <td><h1>Cooling circuit record {{ $sheet->job->number() }}</h1>
        <p><span class="plate">{{ $sheet->job->vehicle->plate }}</span> {{ $sheet->job->vehicle->name }} · {{ $sheet->job->kind->label() }}</p></td>
    <td class="num quiet">{{ $sheet->shop->name }}, {{ $sheet->units->sayHeight(1000.0 * $sheet->shop->elevation_m) }}</td>
</tr></table>
<div class="bar"></div>
<p>
    @if ($sheet->abandoned() !== '')<b>{{ $sheet->abandoned() }}</b> {{ $sheet->progress() }}
    @elseif ($sheet->signedBy() !== ''){{ $sheet->signedBy() }}
    @else<b>Not signed.</b> {{ $sheet->progress() }}@endif
    {{ $sheet->planned() }}
</p>
<table><tr>
    <td class="half">
        <h2>The sums</h2>
        <table>@foreach ($sheet->sums() as [$what, $first, $second])@if ($loop->index === 1 && $sheet->contentBar() !== null)<tr>
            <td colspan="3"><img src="{{ App\Record\Pdf::svg(trim(view('record.content-bar', ['bar' => $sheet->contentBar()])->render())) }}" style="width: 82mm; height: 3mm"></td></tr>@endif<tr @class(['total' => $loop->first])><th>{{ $what }}</th><td class="num">{{ $first }}</td><td class="num">{{ $second }}</td></tr>@endforeach</table>
        @if ($sheet->rounds() !== [])
            <h2>Warm-ups and top-ups</h2>
            <table>@foreach ($sheet->rounds() as $round)<tr><th>{{ $round->title }}</th><td class="num">{{ $round->hottest }}</td>
                <td class="num">{{ $round->topped }}</td><td>{{ $round->verdict }}</td></tr>@endforeach</table>
        @endif
        @if ($sheet->nextChange() !== '')<p>Next change of the coolant: {{ $sheet->nextChange() }}.</p>@endif
        @if ($sheet->watch() !== '')<p>Watch at the next visit: {{ $sheet->watch() }}.</p>@endif
    </td>
    <td></td>
    <td class="half">
        <h2>In and out</h2>
        <table>@foreach ($sheet->quantities() as [$what, $volume, $unsure])<tr><td>{{ $what }}</td><td class="num">{{ $volume }}</td>
            <td class="num">{{ $unsure }}</td></tr>@endforeach</table>
        @if ($picture !== '')<p><img src="{{ $picture }}" style="width: 62mm"></p>@endif
    </td>
</tr></table>
@if ($sheet->passedOver() !== [])
    <h2>Passed over, with reasons</h2>
    <ul>@foreach ($sheet->passedOver() as $passed)
        <li><b>{{ $passed->title }}</b>: {{ $passed->reason }} <span class="quiet">{{ $passed->by }}</span></li>@endforeach</ul>
@endif
<table class="story">
@foreach ($sheet->stages() as ['stage' => $stage, 'steps' => $steps])
    <tr><th colspan="2"><h2>{{ $stage->label() }}</h2></th></tr>
    @foreach ($steps as $step)
        <tr><th>{{ $step->title }} <span class="quiet">{{ $step->verdict }}</span></th>
        <td>@foreach ($step->lines as $line)<span class="quiet">{{ $line->when }}</span> {{ $line->said }}@if ($line->correction) [corrected {{ $line->correction->when ?? '' }}]@endif @if ($line->who !== '')<span class="quiet">({{ $line->who }})</span>@endif @if (! $loop->last) · @endif @endforeach</td></tr>
    @endforeach
@endforeach
</table>
@foreach ($sheet->curves() as $curve)
    <h2>{{ $curve->title }}, as instruments sent it</h2>
    <p><img src="{{ App\Record\Pdf::svg(trim(view('instruments.paper-curve', ['curve' => $curve])->render())) }}" style="width: 150mm"></p>
@endforeach
@if ($photos !== [])
    <h2>Photographs</h2>
    <table><tr>@foreach (array_slice($photos, 0, 4) as [$photo, $bytes])<td>@if ($bytes !== '')<img class="photo"
        src="{{ $bytes }}"><br>@endif{{ $photo->caption }} <span class="quiet">{{ $photo->by }}</span></td>@endforeach</tr></table>
@endif
@if ($sheet->visits() !== [])
    <h2>The days after</h2>
    @if ($says = $sheet->daysAfter())<p><b>{{ $says->title }}.</b> {{ $says->reason }}</p>@endif
    <table>@foreach ($sheet->visits() as $row)<tr><td>{{ $row->day }}</td><td>{{ $row->level }} {{ $row->more }}</td>
        <td class="num">{{ $row->toppedUp }}</td><td class="num">{{ $row->warm }}</td>
        <td>{{ $row->by }}@if ($row->struck !== '') {{ $row->struck }}@endif</td></tr>@endforeach</table>
@endif
<p class="quiet">Old coolant is regulated waste. @if ($sheet->seal() !== ''){{ $sheet->holds() ? 'Unchanged since it was signed.' : 'Changed since it was signed.' }} Sealed with {{ $sheet->seal() }}@endif</p>
<p class="sign">Signature</p>
@endcomponent
