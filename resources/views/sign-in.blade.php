<x-layout title="Sign in">
    <section class="mx-auto mt-[7vh] max-w-[420px] border-t-[5px] border-coolant bg-panel p-8 [&_.field]:mb-4">
        <p class="inline-block border-b-3 border-level font-gauge text-[1.75rem]/none font-semibold tracking-[0.01em]">Aqbel</p>
        <h1 class="mt-[22px] mb-[18px]">{{ $shop->name }}</h1>
        @if ($tablet !== null && count($people) > 0)
            <form method="post" action="/sign-in/pin" class="entry mt-3 mb-[26px] grid gap-3.5">
                @csrf
                <fieldset>
                    <legend class="pb-1.5 font-semibold">Who is at {{ $tablet->name }}?</legend>
                    <div class="choices">
                        @foreach ($people as $person)
                            <label class="choice">
                                <input type="radio" name="person" value="{{ $person->id }}"
                                    @checked(old('person') === (string) $person->id || count($people) === 1)>
                                <span>{{ $person->name }}</span>
                            </label>
                        @endforeach
                    </div>
                </fieldset>
                <x-input name="pin" label="PIN" type="password" autocomplete="off" inputmode="numeric"/>
                <button class="button button-go button-wide">Open</button>
            </form>
            <h2 class="mb-2.5">Or with your password</h2>
        @endif
        <form method="post" action="/sign-in" class="entry my-3 in-[.dock]:m-0 [&_details[open]]:border [&_details[open]]:border-rule [&_details[open]]:p-3 [&_details[open]>summary]:mb-3">
            @csrf
            <x-input name="login" label="Sign-in name" autocomplete="username" autocapitalize="none" required/>
            <x-input name="password" label="Password" type="password" autocomplete="current-password" required/>
            <button @class(['button button-wide', 'button-go' => $tablet === null || count($people) === 0])>Sign in</button>
        </form>
        @if (config('aqbel.demo'))
            <section class="mt-6 border-t-[3px] border-dashed border-level pt-3" aria-labelledby="demo-title">
                <h2 id="demo-title" class="text-[1.125rem]">Demo sign-ins</h2>
                <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5"><dt>Technician</dt><dd>imre / bleed-it-dry</dd><dt>Lead</dt>
                    <dd>sunniva / bleed-it-dry</dd></dl>
            </section>
        @endif
    </section>
</x-layout>
