<!DOCTYPE html>
<html lang="en"><head><meta charset="utf-8"><title>Label, {{ $sheet->job->number() }}</title>
<style>@page { margin: 4mm; } body { font-family: 'DejaVu Sans', sans-serif; font-size: 9pt; } h1 { font-size: 13pt; margin: 0 0 1mm; } table { width: 100%; } td { padding: .4mm 0; } b { font-size: 11pt; } p { margin: 1mm 0 0; font-size: 8pt; font-weight: bold; }</style></head>
<body>
<h1>{{ $sheet->job->vehicle->plate }}</h1>
<table>@foreach ($sheet->label() as [$what, $is])<tr><td style="width: 30%">{{ $what }}</td><td><b>{{ $is }}</b></td>
    </tr>@endforeach</table>
<p>Coolant. Poisonous. Never open hot. Top up cold, with the same mixture.</p>
</body></html>
