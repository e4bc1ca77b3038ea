<x-layout title="Shop">
    <x-head>
        <h1>Shop</h1>
        <div class="ml-auto flex flex-wrap gap-2">
            <a class="button button-quiet" href="/shop/rules">Rules and rights</a>
            <a class="button button-quiet" href="/people">People</a>
            <a class="button button-quiet" href="/shop/connect">Connect a tablet</a>
            <a class="button button-quiet" href="/shop/changes">Who changed what</a>
        </div>
    </x-head>
    <div class="grid items-start gap-5 min-[821px]:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <x-panel tag="form" method="post" action="/shop" data-once>
            @csrf
            <h2>Where it stands, what is at hand</h2>
            <fieldset class="grid min-w-0 gap-3 [&>.button]:justify-self-start" @disabled(! $page->mayChange)>
                <div class="fields">
                    @foreach ($page->form()->fields as $field)
                        @include('layouts.field', ['field' => $field, 'units' => $page->units, 'prefix' => 'shop-', 'value' => $page->values()[$field->name] ?? ''])
                    @endforeach
                </div>
                <fieldset class="ticks"><legend>At hand in every plan, until one says otherwise</legend>
                    @foreach ($page->tools() as $code => [$label, $there])
                        <label class="tick">
                            <input type="checkbox" name="tools[]" value="{{ $code }}" @checked($there)><span>{{ $label }}</span>
                        </label>
                    @endforeach
                </fieldset>
                @if ($page->mayChange)<button class="button button-go" data-key="e" data-key-label="Keep">Keep</button>@endif
            </fieldset>
            @unless ($page->mayChange)<p class="help">The shop is changed by a lead.</p>@endunless
        </x-panel>
        <x-panel>
            <h2>Aqbel {{ config('aqbel.version') }}</h2>
            <p class="help">What came with it stands in CHANGELOG.md.</p>
            <h2 id="calendar">The shop’s visits in a calendar</h2>
            @if ($page->mayChange)
                @if ($page->calendar())<p class="help">Whoever has this address sees all visits.</p>
                    <p class="num break-all select-all">{{ $page->calendar() }}</p>@endif
                <form method="post" action="/shop/calendar" class="flex flex-wrap gap-2">
                    @csrf
                    <button class="button button-quiet">{{ $page->calendar() ? 'Another address' : 'Make an address' }}</button>
                    @if ($page->calendar())<button class="button button-quiet" name="end" value="1">Take it back</button>@endif
                </form>
            @else
                <p class="help">Its address is a lead’s to give.</p>
            @endif
            <h2>Photographs</h2>
            <p class="help">They take {{ $page->photographs() }}.</p>
            <h2>Backup</h2>
            @if ($page->backup->isFresh())
                <x-state tone="pass" icon="circle-check">Whole, {{ $page->backup->at->diffForHumans() }}</x-state>
                <p class="help">{{ $page->backup->said }}</p>
            @elseif ($page->backup->at === null)
                <x-state tone="wait" icon="triangle-alert">None yet</x-state>
                <p class="help">On the machine Aqbel runs on: <code>./aqbel backup</code>, best every night and onto another disk.</p>
            @else
                <x-state tone="stop" icon="triangle-alert">{{ $page->backup->worked ? 'Old' : 'Failed' }}, {{ $page->backup->at->diffForHumans() }}</x-state>
                <p class="help">{{ $page->backup->said }}</p>
            @endif
        </x-panel>
        <x-panel tag="form" method="post" action="/shop/vessels" class="col-span-full" id="vessels" data-once>
            @csrf
            <h2>Vessels</h2>
            <p class="help">What is read in a vessel is as good as its marks: every volume, mixture and sum carries that ±.
                @if ($page->mayChange) Empty the name to take one away. @endif</p>
            @error ('vessels')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
            <fieldset class="grid min-w-0 gap-3 [&>.button]:justify-self-start" @disabled(! $page->mayChange)>
                @foreach ($page->vessels() as $i => $vessel)
                    @php
                        $name = $typed("vessels.{$i}.name", $vessel?->name);
                        $marks = $typed("vessels.{$i}.marks", $vessel === null ? '' : $page->marks($vessel));
                        $holds = $typed("vessels.{$i}.holds", $vessel === null ? '' : $page->holds($vessel));
                    @endphp
                    <div class="grid grid-cols-2 gap-x-3.5 gap-y-2 border-b border-rule py-2 min-[821px]:grid-cols-[3fr_1fr_1fr_1fr] [&>label]:grid [&>label]:gap-0.5 [&>label]:text-[0.9375rem] [&>label]:font-semibold">
                        <input type="hidden" name="vessels[{{ $i }}][id]" value="{{ $vessel?->id }}">
                        <label class="max-[820px]:col-span-full">Name
                            <x-cell class="min-h-12" name="vessels[{{ $i }}][name]" maxlength="60" :value="$name"/></label>
                        <label>Mark to mark, {{ $page->unit() }}
                            <x-cell class="min-h-12" name="vessels[{{ $i }}][marks]" inputmode="decimal" size="6" :value="$marks"/></label>
                        <label>Holds, if known, {{ $page->unit() }}
                            <x-cell class="min-h-12" name="vessels[{{ $i }}][holds]" inputmode="decimal" size="6" :value="$holds"/></label>
                        <label>Mostly for
                            <select name="vessels[{{ $i }}][use]"
                                class="min-h-12 w-full min-w-0 rounded-sm border border-quiet bg-panel px-2.5 text-ink">
                                @foreach ($page->uses() as $code => $label)
                                    <option value="{{ $code }}"
                                        @selected($typed("vessels.{$i}.use", $vessel?->use->value ?? 'measure') === $code)>{{ $label }}</option>
                                @endforeach
                            </select></label>
                        @error ("vessels.{$i}")<p class="error m-0 col-span-full">@icon('triangle-alert'){{ $message }}</p>@enderror
                    </div>
                @endforeach
                @if ($page->mayChange)<button class="button button-quiet">Keep the vessels</button>@endif
            </fieldset>
        </x-panel>
    </div>
</x-layout>
