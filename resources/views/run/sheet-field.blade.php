@include('layouts.field', [
    'units' => $page->units, 'value' => null, 'prefix' => "sheet-{$block->step->id}-", 'group' => "sheet[{$block->step->id}]",
    'path' => "sheet.{$block->step->id}",
])
