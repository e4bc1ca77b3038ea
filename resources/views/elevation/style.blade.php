{{-- A picture on its own knows no style sheet of the page: the same colours, light or dark. --}}
@php [$ink, $quiet, $rule, $ground, $coolant, $level] = $dark ?? false
    ? ['#e9f2ef', '#a3b8b3', '#35504b', '#14201e', '#37b6c4', '#ff9a4d'] : ['#0f211f', '#415955', '#aebfba', '#f8fbfa', '#00737f', '#b23a08']; @endphp
<style>
text{font-family:sans-serif;font-size:16px;fill:{{ $quiet }}}
.el-floor{stroke:{{ $quiet }};stroke-width:2}
.el-wheel{fill:none;stroke:{{ $rule }};stroke-width:1.5}
.el-tyre{fill:{{ $ground }};stroke:{{ $rule }};stroke-width:7}
.el-vehicle{fill:{{ $rule }};opacity:.3}
.el-bulkhead{stroke:{{ $rule }};stroke-width:4}
.el-shell,.el-thermostat{fill:{{ $ground }};stroke:{{ $ink }};stroke-width:1.6}
.el-room{fill:{{ $ground }}}
.el-fins{fill:none;stroke:{{ $ground }};stroke-width:1.4;opacity:.7}
.el-end,.el-cap,.el-fan{fill:{{ $quiet }};stroke:{{ $ink }}}
.el-halo,.el-pipe,.el-bore,.el-flow,.el-caught{fill:none}
.el-halo,.el-bore{stroke:{{ $ground }}}
.el-pipe{stroke:{{ $ink }}}
.el-flow{stroke:{{ $coolant }}}
.el-caught{stroke:url(#air-hatch)}
.el-label{font-weight:600;font-size:15px;fill:{{ $ink }}}
.el-coolant{fill:{{ $coolant }}}
.el-trapped{fill:url(#air-hatch)}
.el-air-ground{fill:{{ $ground }}}
.el-air-line{stroke:{{ $level }};stroke-width:5}
.el-wall{fill:none;stroke:{{ $ink }};stroke-width:1.4}
.el-break{fill:none;stroke:{{ $ground }};stroke-width:5}
.el-datum{stroke:{{ $level }};stroke-width:1.6;stroke-dasharray:10 5}
.el-datum-text{fill:{{ $level }};font-weight:600}
.el-pocket-text{fill:{{ $level }};font-weight:700}
.el-ground{fill:none;stroke:{{ $ground }};stroke-width:4}
.el-airway,.el-next{fill:none;stroke:{{ $ink }};stroke-width:2.5}
.el-stem{stroke:{{ $ink }}}
.el-mark{fill:{{ $ground }};stroke:{{ $ink }};stroke-width:2}
.el-number{font-size:15px;font-weight:600;fill:{{ $ink }}}
</style>
