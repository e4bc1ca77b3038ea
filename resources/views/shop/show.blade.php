<x-layout title="Shop">
    <header class="page-head">
        <h1>Shop</h1>
        <div class="page-actions">
            <a class="button button-quiet" href="/shop/rules">Rules and rights</a>
            <a class="button button-quiet" href="/people">People</a>
            <a class="button button-quiet" href="/shop/connect">Connect a tablet</a>
            <a class="button button-quiet" href="/shop/changes">Who changed what</a>
        </div>
    </header>
    <div class="shop-page">
        <form method="post" action="/shop" class="panel" data-once>
            @csrf
            <h2>Where it stands, what is at hand</h2>
            <fieldset class="bare" @disabled(! $page->mayChange)>
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
        </form>
        <section class="panel">
            <h2>Aqbel {{ config('aqbel.version') }}</h2>
            <p class="help">What came with it stands in CHANGELOG.md.</p>
            <h2 id="calendar">The shop’s visits in a calendar</h2>
            @if ($page->mayChange)
                @if ($page->calendar())<p class="help">Whoever has this address sees all visits.</p><p class="num break-all select-all">{{ $page->calendar() }}</p>@endif
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
                <p class="state state-pass">@icon('circle-check')Whole, {{ $page->backup->at->diffForHumans() }}</p>
                <p class="help">{{ $page->backup->said }}</p>
            @elseif ($page->backup->at === null)
                <p class="state state-wait">@icon('triangle-alert')None yet</p>
                <p class="help">On the machine Aqbel runs on: <code>./aqbel backup</code>, best every night and onto another disk.</p>
            @else
                <p class="state state-fail">@icon('triangle-alert')
                    {{ $page->backup->worked ? 'Old' : 'Failed' }}, {{ $page->backup->at->diffForHumans() }}</p>
                <p class="help">{{ $page->backup->said }}</p>
            @endif
        </section>
        <form method="post" action="/shop/vessels" class="panel panel-wide" id="vessels" data-once>
            @csrf
            <h2>Vessels</h2>
            <p class="help">What is read in a vessel is as good as its marks: every volume, mixture and sum carries that ±.
                @if ($page->mayChange) Empty the name to take one away. @endif</p>
            @error ('vessels')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
            <fieldset class="bare" @disabled(! $page->mayChange)>
                @foreach ($page->vessels() as $i => $vessel)
                    <div class="vessel-row">
                        <input type="hidden" name="vessels[{{ $i }}][id]" value="{{ $vessel?->id }}">
                        <label>Name
                            <input name="vessels[{{ $i }}][name]" maxlength="60"
                                value="{{ $typed("vessels.{$i}.name", $vessel?->name) }}"></label>
                        <label>Mark to mark, {{ $page->unit() }}
                            <input name="vessels[{{ $i }}][marks]" inputmode="decimal" size="6"
                                value="{{ $typed("vessels.{$i}.marks", $vessel === null ? '' : $page->marks($vessel)) }}"></label>
                        <label>Holds, if known, {{ $page->unit() }}
                            <input name="vessels[{{ $i }}][holds]" inputmode="decimal" size="6"
                                value="{{ $typed("vessels.{$i}.holds", $vessel === null ? '' : $page->holds($vessel)) }}"></label>
                        <label>Mostly for
                            <select name="vessels[{{ $i }}][use]">
                                @foreach ($page->uses() as $code => $label)
                                    <option value="{{ $code }}"
                                        @selected($typed("vessels.{$i}.use", $vessel?->use->value ?? 'measure') === $code)>{{ $label }}</option>
                                @endforeach
                            </select></label>
                        @error ("vessels.{$i}")<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror
                    </div>
                @endforeach
                @if ($page->mayChange)<button class="button button-quiet">Keep the vessels</button>@endif
            </fieldset>
        </form>
    </div>
</x-layout>
