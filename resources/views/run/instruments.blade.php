@if ($instruments = $page->fed()->instruments)
    @if ($instruments->hasCurve && $instruments->proofs() !== [])
        <ul class="mb-3 flex flex-wrap gap-x-5 gap-y-1 font-semibold" aria-label="What the run has shown">
            @foreach ($instruments->proofs() as $proof)
                <li @class(['flex items-center gap-2', 'text-pass' => $proof['shown'], 'text-quiet' => ! $proof['shown']])>
                    @icon($proof['shown'] ? 'circle-check' : 'square'){{ $proof['text'] }}<span class="sr-only">: {{ $proof['shown'] ? 'shown' : 'not yet' }}</span>
                </li>
            @endforeach
        </ul>
    @endif
    <section id="instruments" class="mb-5 bg-panel p-4" aria-labelledby="instruments-title" data-keep="{{ $instruments->version() }}"
        @if ($instruments->gauge()) data-draws="{{ $instruments->gauge() }}" @endif
        @if ($instruments->hasCurve) data-series="/jobs/{{ $instruments->job->id }}/series" @endif
        @if ($instruments->standIn) data-stand-in="/feeds/{{ $instruments->standIn->id }}/stand-in" data-door="/feeds/{{ $instruments->standIn->token }}" @endif>
        <h2 id="instruments-title" class="sr-only">Instruments</h2>
        @if ($instruments->hasCurve)
            <div class="mb-2 flex flex-wrap items-baseline gap-x-8 gap-y-1">
                @if ($instruments->gauge())
                    <p><span class="font-gauge text-6xl" data-shows="gauge">–</span> <span class="text-quiet">gauge</span></p>
                @else
                    <p><span class="font-gauge text-6xl" data-shows="coolant">–</span> <span class="text-quiet">coolant</span></p>
                    <p><span class="font-gauge text-3xl" data-shows="far"></span> <span class="text-quiet">far side</span></p>
                    <p><span class="font-gauge text-3xl" data-shows="outlet"></span> <span class="text-quiet">outlet</span></p>
                    <p><span class="font-gauge text-3xl" data-shows="rpm"></span> <span class="text-quiet">rpm</span></p>
                    <p class="text-stop"><span class="font-gauge text-3xl" data-shows="limit">–</span> <span>shut off</span></p>
                    <p class="font-semibold text-stop" data-shows="minutes" role="status"></p>
                @endif
            </div>
            <p class="notice-cut font-semibold text-stop" data-shows="silent" role="alert" hidden></p>
            <div class="curve" data-curve role="img" aria-label="Curve of the run: the same numbers stand in the table below it"></div>
            <details class="mt-2"><summary class="py-2.5">The curve as a table</summary><div class="overflow-x-auto" tabindex="0"
                role="group" aria-label="Readings by minute"><table class="list" data-curve-table></table></div></details>
        @endif
        @foreach ($instruments->outlets() === [] ? [] : $instruments->feeds->whereNull('stand_in') as $feed)
            <form method="post" action="/feeds/{{ $feed->id }}/outlet" class="mt-3 flex flex-wrap items-center gap-2">
                @csrf
                <span class="font-semibold">{{ $feed->name }}, its thermometer at</span>
                @foreach ($instruments->outlets() as $outlet)
                    <button @class(['button', 'button-quiet' => $feed->outlet !== $outlet]) name="outlet" value="{{ $outlet }}"
                        aria-pressed="{{ $feed->outlet === $outlet ? 'true' : 'false' }}">{{ ucfirst($outlet) }}</button>
                @endforeach
            </form>
        @endforeach
        @error ('file')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
        @error ('feed')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
        @foreach ($instruments->feeds as $feed)
            <details class="mt-2">
                <summary class="py-2.5">{{ $feed->name }}{{ $feed->stand_in === null ? '' : ': a vehicle that is not there' }}</summary>
                <p class="mt-2"><code class="break-all">{{ $instruments->addressOf($feed) }}</code></p>
                <p class="mt-2"><code class="break-all">{{ $instruments->lineOf($feed) }}</code></p>
                <div class="my-2 size-48 bg-white [&_path]:fill-black" data-qr="{{ $instruments->addressOf($feed) }}"></div>
                <p class="help">Lines of channel, seconds or a date, value, unit; {{ $instruments->promised() }}. Whoever has the address may send; it ends with the job.</p>
                <div class="my-3 flex flex-wrap items-end gap-2" data-cable="{{ $instruments->addressOf($feed) }}" hidden>
                    <div class="field"><label for="adapter-{{ $feed->id }}">A cable at this tablet</label>
                        <select id="adapter-{{ $feed->id }}"
                            name="adapter"><option value="asked">a scan tool that is asked</option>
                                <option value="sends">a gauge that sends by itself</option></select></div>
                    <div class="field"><label for="speed-{{ $feed->id }}">Speed</label>
                        <select id="speed-{{ $feed->id }}"
                            name="speed">@foreach ([38400, 9600, 115200] as $speed)<option>{{ $speed }}</option>@endforeach</select></div>
                    <button type="button" class="button button-quiet" data-cable-opens>Read it here</button>
                    <p role="status" class="w-full"></p>
                </div>
                <form method="post" action="/feeds/{{ $feed->id }}/end">@csrf<button class="button button-quiet">End it</button></form>
            </details>
        @endforeach
        <details class="mt-2">
            <summary class="py-2.5">Connect an instrument…</summary>
            <div class="flex flex-wrap items-end gap-3 pt-2">
                <form method="post" action="/jobs/{{ $instruments->job->id }}/feeds" class="flex items-end gap-2">
                    @csrf
                    <x-input name="name" label="Its name"/>
                    <button class="button button-quiet">Make an address</button>
                </form>
                <form method="post" action="/jobs/{{ $instruments->job->id }}/logger" enctype="multipart/form-data"
                    class="flex items-end gap-2">
                    @csrf
                    <div class="field"><label for="logger">A logger’s table</label><input id="logger" type="file" name="file"
                        accept=".csv,.txt,text/csv"></div>
                    <button class="button button-quiet">Show it first</button>
                </form>
                @if ($instruments->mayStandIn())
                    <form method="post" action="/jobs/{{ $instruments->job->id }}/feeds" class="flex items-end gap-2">
                        @csrf
                        <input type="hidden" name="stand_in" value="1">
                        <div class="field"><label for="fault">A vehicle that is not there</label>
                            <select id="fault" name="fault">
                                @foreach ($instruments->faults() as $code => $label)
                                    <option value="{{ $code }}">{{ $label }}</option>
                                @endforeach
                            </select></div>
                        <button class="button button-quiet">Let the stand-in drive</button>
                    </form>
                @endif
            </div>
        </details>
    </section>
@endif
