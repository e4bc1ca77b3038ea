<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $title }}</title>
<style>
@page { margin: 11mm 13mm 14mm; }
body { font-family: 'DejaVu Sans', sans-serif; font-size: {{ $size ?? 8 }}pt; color: #0f211f; line-height: 1.26; }
h1 { font-size: 15pt; margin: 0 0 1mm; }
h2 { font-size: 10.5pt; margin: 4mm 0 1mm; border-bottom: .4pt solid #aebfba; }
h3 { font-size: 8pt; margin: 1.6mm 0 0; }
p { margin: 0 0 1.2mm; }
table { width: 100%; border-collapse: collapse; }
td, th { text-align: left; vertical-align: top; padding: .25mm 1.5mm .25mm 0; font-weight: normal; }
.num { text-align: right; white-space: nowrap; }
.total th, .total td { font-weight: bold; }
.half { width: 49%; vertical-align: top; }
.plate { border: 1pt solid #0f211f; padding: 0 2mm; font-weight: bold; }
.quiet { color: #415955; }
.bar { border-top: 2pt solid #00737f; margin: 1mm 0 2mm; }
.when { color: #415955; white-space: nowrap; width: 16mm; }
h2 { page-break-after: avoid; }
.story > tbody > tr > th, .story th { width: 40mm; font-weight: bold; }
.story .quiet { font-weight: normal; }
.story h2 { margin: 1mm 0 .2mm; font-size: 8.5pt; }
.story td, .story th { padding: .15mm 1.5mm .15mm 0; line-height: 1.12; }
ul { margin: 0 0 1mm; padding-left: 4mm; }
.foot { position: fixed; bottom: -11mm; left: 0; right: 0; font-size: 6.5pt; color: #415955; }
.sign { border-top: .6pt solid #0f211f; width: 60mm; margin-top: 8mm; }
.danger { border: 1.4pt solid #a81d14; padding: 2mm 3mm; font-weight: bold; }
.photo { width: 36mm; }
</style>
</head>
<body>
<div class="foot">{{ $foot }}</div>
{{ $slot }}
</body>
</html>
