<x-layout title="Rules">
    <x-head>
        <h1>Rules of the house</h1>
        <p>For jobs planned from now on. A job under way keeps the rules it was planned by; the service manual outranks them all.</p>
        <div class="ml-auto flex flex-wrap gap-2"><a class="button button-quiet" href="/shop/labour">Minutes of labour</a>
            <a class="button button-quiet" href="/shop">Shop</a></div>
    </x-head>
    <form method="post" action="/shop/rules" class="grid max-w-[1080px] gap-5" data-once>
        @csrf
        <fieldset class="grid min-w-0 gap-5" @disabled(! $mayChange)>
            @foreach ($groups as $name => $rules)
                <x-panel>
                    <h2>{{ $name }}</h2>
                    @foreach ($rules as $rule)
                        @php $own = $rule->stored($here) != $rule->stored($usual); @endphp
                        <div @class(['grid items-center gap-x-5 gap-y-1.5 border-b border-l-5 border-b-rule py-2.5 pl-3 not-has-[.field-choice]:min-[821px]:grid-cols-2', 'border-l-coolant' => $own, 'border-l-transparent' => ! $own])>
                            @include('layouts.field', ['field' => $rule->field, 'prefix' => 'rule-', 'value' => $rule->text($here, $units)])
                            <p class="help">
                                {{ $rule->why }} Usual: <b>{{ $rule->text($usual, $units, true) }}</b>. {{ $rule->source }}
                                @if ($own)<span class="font-semibold text-ink">This shop’s own.</span>@endif
                            </p>
                        </div>
                    @endforeach
                </x-panel>
            @endforeach
            @if ($mayChange)<button class="button button-go button-wide" data-key="e" data-key-label="Keep">Keep the rules</button>@endif
        </fieldset>
    </form>
    @if ($templates->isNotEmpty())
        <x-panel class="mt-5 max-w-[1080px]" id="templates">
            <h2>Templates of jobs</h2>
            <x-rows>
                @foreach ($templates as $template)
                    <x-row><x-row-name :name="$template->name">{{ implode(', ', $template->choices) }}</x-row-name>
                        @if ($mayChange)
                            <form method="post" action="/templates/{{ $template->id }}">
                                @csrf @method('delete')
                                <button class="button button-quiet">Take away</button>
                            </form>
                        @endif
                    </x-row>
                @endforeach
            </x-rows>
        </x-panel>
    @endif
    <form method="post" action="/shop/rights" class="mt-5 max-w-[1080px]" data-once>
        @csrf
        <x-panel>
            <h2>What technicians may do too</h2>
            <p class="help">A lead may do all of it. Adding people and changing the shop stay with the leads.</p>
            <fieldset class="ticks min-w-0 [&>.button]:justify-self-start" @disabled(! $mayChange)>
                @foreach ($rights as $right)
                    <label class="tick">
                        <input type="checkbox" name="granted[]" value="{{ $right->value }}"
                            @checked($shop->grants($right))><span>{{ $right->label() }}</span>
                    </label>
                @endforeach
                @if ($mayChange)
                    <x-input name="known" label="Your password" type="password" autocomplete="current-password"/>
                    <button class="button button-quiet">Keep the rights</button>
                @endif
            </fieldset>
        </x-panel>
    </form>
</x-layout>
