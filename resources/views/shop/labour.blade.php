<x-layout title="Minutes">
    <x-head>
        <h1>Minutes of labour</h1>
        <p>What plans add up, for jobs planned from now on: hands, and what then waits by itself. The usual minutes are common practice,
            no source; an empty field stays as it is.</p>
        <div class="ml-auto flex flex-wrap gap-2"><a class="button button-quiet" href="/shop/rules">Rules</a></div>
    </x-head>
    @if ($errors->any())<p class="error error-block" role="alert">@icon('triangle-alert'){{ $errors->first() }}</p>@endif
    <form method="post" action="/shop/labour" data-once>
        @csrf
        <fieldset class="min-w-0" @disabled(! $mayChange)>
            <div class="max-w-[1180px] gap-5 min-[821px]:columns-2">
                @foreach ($groups as $name => $activities)
                    <section class="mb-5 break-inside-avoid bg-panel px-[18px] py-3.5">
                        <h2>{{ $name }}</h2>
                        <table class="list [&_:is(td,tbody_th)]:py-1 [&_:is(td,tbody_th)]:align-middle [&_thead_th+th]:text-right">
                            <thead><tr><th scope="col">Activity</th><th scope="col">Hands</th><th scope="col">Waits</th></tr></thead>
                            <tbody>
                                @foreach ($activities as $activity => $label)
                                    @php [$here, $usual] = [$labour->of($activity), $labour::usual($activity)]; @endphp
                                    <tr @class(['has-error' => $errors->has("labour.{$activity}")])>
                                        <th scope="row">{{ $label }}
                                            @if ($here != $usual)<small class="block font-semibold text-ink">usual {{ $usual->hands }} + {{ $usual->wait }}</small>@endif
                                        </th>
                                        @foreach (['hands' => 'hands', 'wait' => 'waits'] as $part => $said)
                                            <td class="w-21"><x-cell class="min-h-11 text-right text-lg" type="text" inputmode="decimal"
                                                name="labour[{{ $activity }}][{{ $part }}]"
                                                aria-label="{{ $label }}, {{ $said }}, minutes" autocomplete="off"
                                                :value="$typed('labour.'.$activity.'.'.$part, (string) $here->{$part})"/></td>
                                        @endforeach
                                    </tr>
                                @endforeach
                            </tbody>
                        </table>
                    </section>
                @endforeach
            </div>
            @if ($mayChange)<button class="button button-go button-wide" data-key="e" data-key-label="Keep">Keep the minutes</button>@endif
        </fieldset>
    </form>
</x-layout>
