@include('layouts.field', [
    'units' => $page->units, 'value' => null, 'prefix' => "sheet-{$block->step->id}-", 'group' => "sheet[{$block->step->id}]",
    'fold' => true, 'path' => "sheet.{$block->step->id}",
])
