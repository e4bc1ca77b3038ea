<x-layout :title="'Record '.$sheet->job->number()">
    <div class="no-print mb-3 flex flex-wrap items-center justify-end gap-2">
        <button type="button" class="button" data-print data-key="p" data-key-label="Print">Print</button>
        <a class="button button-quiet" href="/jobs/{{ $sheet->job->id }}/record.pdf">PDF</a>
        <a class="button button-quiet" href="/jobs/{{ $sheet->job->id }}/hand-over.pdf">For the driver</a>
        <a class="button button-quiet" href="/jobs/{{ $sheet->job->id }}/label.pdf">Label</a>
        <a class="button button-quiet" href="/jobs/{{ $sheet->job->id }}/job.json">Data</a>
        <a class="button button-quiet" href="/jobs/{{ $sheet->job->id }}/readings.csv">Readings</a>
    </div>
    <article class="record">
        <header class="flex items-start gap-7 border-b-4 border-coolant pb-3 max-[900px]:flex-wrap">
            <div><p class="self-center border-b-3 border-level font-gauge text-[1.75rem]/none font-semibold tracking-[0.01em]">Aqbel</p><p>{{ $sheet->shop->name }}, {{ $sheet->units->sayHeight(1000.0 * $sheet->shop->elevation_m) }}</p></div>
            <div class="flex-1">
                <h1 class="mb-2">Cooling circuit record {{ $sheet->job->number() }}</h1>
                <p><span class="plate">{{ $sheet->job->vehicle->plate }}</span> {{ $sheet->job->vehicle->name }} · {{ $sheet->job->kind->label() }}</p>
            </div>
        </header>
        @if ($sheet->cameFrom() !== '')<p class="font-semibold">{{ $sheet->cameFrom() }}</p>@endif
        <p class="my-3" data-state>
            @if ($sheet->abandoned() !== '')<b>{{ $sheet->abandoned() }}</b> {{ $sheet->progress() }}
            @elseif ($sheet->signedBy() !== ''){{ $sheet->signedBy() }}
            @else<b>Not signed.</b> {{ $sheet->progress() }} <a class="no-print"
                href="/jobs/{{ $sheet->job->id }}">Back to the run</a>@endif
            {{ $sheet->planned() }}
        </p>
        <div class="grid grid-cols-[repeat(auto-fit,minmax(min(100%,380px),1fr))] gap-x-10 print:grid-cols-[1.2fr_1fr] print:gap-x-5 [&_h2]:mt-3.5">
            <section>
                <h2>The sums</h2>
                <table><tbody>
                    @foreach ($sheet->sums() as [$what, $first, $second])
                        @if ($loop->index === 1 && $sheet->contentBar() !== null)<tr>
                            <td colspan="3">@include('record.content-bar', ['bar' => $sheet->contentBar()])</td></tr>@endif
                        <tr @class(['total' => $loop->first])><th scope="row">{{ $what }}</th><td class="num">{{ $first }}</td>
                            <td class="num">{{ $second }}</td></tr>
                    @endforeach
                </tbody></table>
                @if ($sheet->rounds() !== [])
                    <h2>Warm-ups and top-ups</h2>
                    <table class="sm:[&_:is(td,th):not(:last-child)]:whitespace-nowrap print:[&_:is(td,th):not(:last-child)]:whitespace-nowrap"><tbody>
                        @foreach ($sheet->rounds() as $round)
                            <tr>
                                <th scope="row">{{ $round->title }}</th><td class="num">{{ $round->hottest }}</td>
                                <td class="num">{{ $round->topped }}</td>
                                <td class="align-middle"><svg class="block max-sm:hidden print:block" viewBox="0 0 60 8" width="60" height="8"
                                    aria-hidden="true"><rect width="60" height="8" class="tube"/><rect
                                    width="{{ round(60 * $round->share, 1) }}" height="8" class="tube-wet"/></svg></td>
                                <td>{{ $round->verdict }}</td>
                            </tr>
                        @endforeach
                    </tbody></table>
                @endif
                @if ($sheet->nextChange() !== '')<p>Next change of the coolant: {{ $sheet->nextChange() }}.</p>@endif
                @if ($sheet->watch() !== '')<p>Watch at the next visit: {{ $sheet->watch() }}.</p>@endif
            </section>
            <section>
                <h2>In and out</h2>
                <table><tbody>
                    @foreach ($sheet->quantities() as [$what, $volume, $unsure])
                        <tr><td>{{ $what }}</td><td class="num">{{ $volume }}</td><td class="num">{{ $unsure }}</td></tr>
                    @endforeach
                </tbody></table>
                <figure class="elevation mt-4 max-w-80">@include('elevation.svg', ['picture' => $sheet->picture()])</figure>
            </section>
        </div>
        @if ($sheet->passedOver() !== [])
            <section>
                <h2>Passed over, with reasons</h2>
                <ul>
                    @foreach ($sheet->passedOver() as $passed)
                        <li><b>{{ $passed->title }}</b>: {{ $passed->reason }} <small>{{ $passed->by }}</small></li>
                    @endforeach
                </ul>
            </section>
        @endif
        <div class="mt-[22px] columns-[2_400px] gap-10 print:columns-2 print:gap-5" data-story>
            @foreach ($sheet->stages() as ['stage' => $stage, 'steps' => $steps])
                <h2 class="mt-2.5 break-after-avoid text-[1.125rem]">{{ $stage->label() }}</h2>
                @foreach ($steps as $step)
                    <section class="mt-1.5 break-inside-avoid-column">
                        <h3 class="mt-1 mb-0 text-[1rem] leading-[normal]">{{ $step->title }} @if ($step->verdict !== '')<small>{{ $step->verdict }}</small>@endif</h3>
                        <ul>
                            @foreach ($step->lines as $line)
                                <li class="grid grid-cols-[5.6em_1fr] gap-2 text-[0.9375rem]/[1.35] print:text-[8.5pt]/tight"><time class="text-right whitespace-nowrap text-quiet">{{ $line->when }}</time>
                                    <span>{{ $line->said }}@if ($line->who !== '') <small>{{ $line->who }}</small>@endif
                                        @if ($line->correction) <x-corrected :correction="$line->correction"/>@endif</span></li>
                            @endforeach
                        </ul>
                    </section>
                @endforeach
            @endforeach
        </div>
        @foreach ($sheet->curves() as $curve)
            <section><h2>{{ $curve->title }} <small>as instruments sent it</small></h2>@include('instruments.paper-curve')</section>
        @endforeach
        @if ($sheet->photos() !== [])<section><h2>Photographs</h2><x-photos :photos="$sheet->photos()"/></section>@endif
        @if ($sheet->visits() !== [] || $sheet->job->signed_at !== null)
            <section>
                <h2>The days after <small>signed each by itself, not part of what was sealed</small></h2>
                @if ($says = $sheet->daysAfter())<p><b>{{ $says->title }}.</b> {{ $says->reason }}</p>@endif
                @if ($sheet->visits() === [])
                    <p>Nobody has looked yet.</p>
                @else
                    <table><tbody>
                        @foreach ($sheet->visits() as $row)
                            <tr @class(['line-through' => $row->struck !== ''])><th scope="row">{{ $row->day }}</th>
                                <td>{{ $row->level }}@if ($row->more !== '') · {{ $row->more }}@endif</td>
                                <td class="num">{{ $row->toppedUp }}</td><td class="num">{{ $row->warm }}</td>
                                <td>{{ $row->by }}@if ($row->struck !== '') <small>{{ $row->struck }}</small>@endif</td></tr>
                        @endforeach
                    </tbody></table>
                @endif
                @if ($sheet->job->signed_at && $sheet->cameFrom() === '')<p class="no-print"><a class="button button-quiet"
                    href="/jobs/{{ $sheet->job->id }}/visits">{{ $sheet->isDue() ? 'Sign the visit that is due' : 'Write down a look' }}</a></p>@endif
            </section>
        @endif
        <footer class="mt-9 flex flex-wrap justify-between gap-10 text-[0.9375rem] print:flex-nowrap">
            <div class="min-w-0 grow basis-80">
                <p>The vehicle’s service manual outranks this record’s predictions. Old coolant is regulated waste. Written by Aqbel {{ config('aqbel.version') }}.</p>
                @if ($sheet->seal() !== '')
                    <p class="mt-1.5 text-[0.8125rem]" data-seal>
                        @if ($sheet->holds())<b>Unchanged since it was signed.</b> @else<b class="text-stop">Changed since it was signed.</b> Something of it is not what was signed: keep this print, and ask whoever looks after the machine. @endif
                        Sealed with <span class="wrap-anywhere">{{ $sheet->seal() }}</span>
                    </p>
                @endif
            </div>
            <p class="w-65 flex-none border-t border-ink pt-1" data-signature>Signature</p>
        </footer>
    </article>
</x-layout>
