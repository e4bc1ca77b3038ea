<x-layout :title="'New circuit: '.$page->layout->title" wide>
    <x-head>
        <h1>{{ $page->layout->title }}</h1>
        <p>Leave empty what nobody knows: it stays as such vehicles usually are, and the plan says how unsure that makes it.
            <a href="/circuits/make{{ $for === '' ? '' : '?for='.urlencode($for) }}">Another layout</a></p>
    </x-head>
    <form method="post" action="/circuits/make/{{ $page->layout->id }}" class="grid items-start gap-5 lg:grid-cols-2" data-maker data-once>
        @csrf
        <input type="hidden" name="for" value="{{ $for }}">
        <div class="grid gap-5 border-t-[5px] border-coolant bg-panel p-4">
            @if ($errors->any())
                <p class="error error-block"
                    role="alert">@icon('triangle-alert')<span>Nothing was made yet. {{ $errors->count() === 1 ? 'One answer' : $errors->count().' answers' }} cannot be right.</span></p>
            @endif
            @if ($page->layout->extras !== [])
                <fieldset class="grid gap-x-5 sm:grid-cols-2">
                    <legend class="mb-2 font-gauge text-[1.375rem] font-semibold">This one has</legend>
                    @foreach ($page->layout->extras as $extra)
                        <label class="tick"><input type="checkbox" name="has[]" value="{{ $extra->value }}"
                            @checked(in_array($extra->value, (array) old('has', []), true))><span>{{ $extra->label() }}</span></label>
                    @endforeach
                </fieldset>
            @endif
            <fieldset>
                <legend class="mb-2 font-gauge text-[1.375rem] font-semibold">With the tape, from the floor <small>on level ground; each is
                    lit in the drawing</small></legend>
                <div class="grid gap-x-5 gap-y-3 sm:grid-cols-2">@each('circuits.question', $page->heights(), 'field')</div>
            </fieldset>
            <fieldset>
                <legend class="mb-2 font-gauge text-[1.375rem] font-semibold">From the manual</legend>
                <div class="grid gap-x-5 gap-y-3 sm:grid-cols-2">@each('circuits.question', $page->manual(), 'field')</div>
            </fieldset>
            <button class="button button-go button-wide" data-key="e" data-key-label="Make the circuit">Make the circuit</button>
        </div>
        <div class="sticky top-0 z-10 order-first max-lg:[&_figcaption]:hidden max-lg:[&_svg]:max-h-[34vh] lg:top-3 lg:order-none"><x-elevation :picture="$page->picture()"/></div>
    </form>
</x-layout>
