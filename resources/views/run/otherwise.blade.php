{{-- What else may be told of a step on a sheet, in place of what stands there. --}}
@php [$group, $path] = ["sheet[{$block->step->id}]", "sheet.{$block->step->id}"]; @endphp
@php $chosen = old("{$path}.otherwise"); @endphp
<x-more says="Otherwise" :open="is_string($chosen) && $chosen !== ''">
    <fieldset class="mt-2 grid gap-1.5 [&_.choice:has(input:not(:checked))+.fields]:hidden">
        <legend class="sr-only">Told of {{ $block->title }}</legend>
        <label class="choice"><input type="radio" name="{{ $group }}[otherwise]" value=""
            @checked(! is_string($chosen) || $chosen === '')><span>As above</span></label>
        @foreach ($block->others as $other)
            <label class="choice"><input type="radio" name="{{ $group }}[otherwise]" value="{{ $other->name }}"
                @checked($chosen === $other->name)><span>{{ $other->button }}</span></label>
            @if ($other->fields !== [])
                <div class="fields">
                    @foreach ($other->fields as $field)
                        @include('layouts.field', [
                            'units' => $page->units, 'value' => null, 'prefix' => "sheet-{$block->step->id}-{$other->name}-", 'group' => "{$group}[{$other->name}]",
                            'fold' => true, 'path' => "{$path}.{$other->name}",
                        ])
                    @endforeach
                </div>
            @endif
        @endforeach
    </fieldset>
</x-more>
