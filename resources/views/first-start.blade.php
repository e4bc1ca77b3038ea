<x-layout title="First start">
    <section class="mx-auto mt-[7vh] max-w-[420px] border-t-[5px] border-coolant bg-panel p-8 [&_.field]:mb-4">
        <p class="inline-block border-b-3 border-level font-gauge text-[1.75rem]/none font-semibold tracking-[0.01em]">Aqbel</p>
        <h1 class="mt-[22px] mb-[18px]">Set up the shop</h1>
        <p class="help">Who you are is needed. All else has a default, and is found again under Shop.</p>
        <form method="post" action="/first-start" class="entry my-3 in-[.dock]:m-0 [&_details[open]]:border [&_details[open]]:border-rule [&_details[open]]:p-3 [&_details[open]>summary]:mb-3" data-once>
            @csrf
            @if ($asksCode)<x-input name="code" label="Code from the terminal" autocomplete="off"/>@endif
            <x-input name="name" label="Your name, as in the records" autocomplete="name"/>
            <x-input name="login" label="Sign-in name" autocomplete="username" autocapitalize="none"/>
            <x-input name="password" label="Password, 10 characters or more" type="password" autocomplete="new-password"/>
            <x-input name="shop" label="Shop’s name" autocomplete="organization"/>
            <x-input name="elevation_m" label="Metres (or ft) above sea level: water boils earlier up there" inputmode="decimal"/>
            <x-input name="barometer" label="or what a barometer reads here" inputmode="decimal"/>
            <div class="field field-choice">
                <fieldset>
                    <legend>Units you read</legend>
                    <div class="choices">
                        <label class="choice"><input type="radio" name="units" value="metric"
                            @checked(old('units', 'metric') === 'metric')><span>L, °C, kPa</span></label>
                        <label class="choice"><input type="radio" name="units" value="us"
                            @checked(old('units') === 'us')><span>qt, °F, psi</span></label>
                    </div>
                </fieldset>
            </div>
            <x-input name="currency" label="Currency, as prices are written"/>
            <input type="hidden" name="tools_said" value="1">
            <fieldset class="ticks"><legend>At hand in this shop</legend>
                @foreach ($tools as $tool)
                    <label class="tick">
                        <input type="checkbox" name="tools[]" value="{{ $tool->value }}"
                            @checked(! old('tools_said') || in_array($tool->value, (array) old('tools'), true))>
                        <span>{{ $tool->label() }}</span>
                    </label>
                @endforeach
            </fieldset>
            <label class="tick">
                <input type="checkbox" name="layouts" value="1" @checked(! old('tools_said') || old('layouts'))>
                <span>Begin with ten layouts of circuits, to be copied and made to fit</span>
            </label>
            <button class="button button-go button-wide">Start</button>
        </form>
    </section>
</x-layout>
