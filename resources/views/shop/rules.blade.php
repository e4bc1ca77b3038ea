<x-layout title="Rules">
    <header class="page-head">
        <h1>Rules of the house</h1>
        <p>For jobs planned from now on. A job under way keeps the rules it was planned by; the service manual outranks them all.</p>
        <div class="page-actions"><a class="button button-quiet" href="/shop/labour">Minutes of labour</a>
            <a class="button button-quiet" href="/shop">Shop</a></div>
    </header>
    <form method="post" action="/shop/rules" class="rules" data-once>
        @csrf
        <fieldset class="bare" @disabled(! $mayChange)>
            @foreach ($groups as $name => $rules)
                <section class="panel">
                    <h2>{{ $name }}</h2>
                    @foreach ($rules as $rule)
                        @php $own = $rule->stored($here) != $rule->stored($usual); @endphp
                        <div @class(['rule', 'rule-own' => $own])>
                            @include('layouts.field', ['field' => $rule->field, 'prefix' => 'rule-', 'value' => $rule->text($here, $units)])
                            <p class="help">
                                {{ $rule->why }} Usual: <b>{{ $rule->text($usual, $units, true) }}</b>. {{ $rule->source }}
                                @if ($own)<span class="own">This shop’s own.</span>@endif
                            </p>
                        </div>
                    @endforeach
                </section>
            @endforeach
            @if ($mayChange)<button class="button button-go button-wide" data-key="e" data-key-label="Keep">Keep the rules</button>@endif
        </fieldset>
    </form>
    @if ($templates->isNotEmpty())
        <section class="panel rules" id="templates">
            <h2>Templates of jobs</h2>
            <ul class="vehicles">
                @foreach ($templates as $template)
                    <li><span class="person-name"><b>{{ $template->name }}</b><small>{{ implode(', ', $template->choices) }}</small></span>
                        @if ($mayChange)
                            <form method="post" action="/templates/{{ $template->id }}">
                                @csrf @method('delete')
                                <button class="button button-quiet">Take away</button>
                            </form>
                        @endif
                    </li>
                @endforeach
            </ul>
        </section>
    @endif
    <form method="post" action="/shop/rights" class="rules" data-once>
        @csrf
        <section class="panel">
            <h2>What technicians may do too</h2>
            <p class="help">A lead may do all of it. Adding people and changing the shop stay with the leads.</p>
            <fieldset class="bare ticks" @disabled(! $mayChange)>
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
        </section>
    </form>
</x-layout>
