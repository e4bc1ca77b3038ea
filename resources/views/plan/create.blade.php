<x-layout title="Plan" wide>
    <div class="grid items-start gap-5 min-[901px]:grid-cols-[minmax(320px,400px)_minmax(0,1fr)]">
        <form method="post" action="/jobs" class="grid gap-2.5 border-t-5 border-coolant bg-panel px-5 pt-3 pb-4" data-plan data-once>
            @csrf
            <input type="hidden" name="chosen" value="1">
            <input type="hidden" name="drains_auto" value="0"
                data-drains-auto="{{ request()->has('drains') && ! request()->boolean('drains_auto') ? '0' : '1' }}">
            <h1>Plan a job</h1>
            <p class="error error-block" role="alert" data-plan-problem hidden></p>
            @if ($errors->any())<p class="error error-block" role="alert">@icon('triangle-alert'){{ $errors->first() }}</p>@endif
            <div class="field">
                @if ($page->listsVehicles())
                    <label for="vehicle">Vehicle</label>
                    <select id="vehicle" name="vehicle" data-plan-vehicle>
                        @foreach ($page->vehicles as $v)
                            <option value="{{ $v->id }}" @selected($v->id === $page->vehicle->id)>{{ $v->plate }} · {{ $v->name }}</option>
                        @endforeach
                    </select>
                @else
                    <input type="hidden" name="vehicle" value="{{ $page->vehicle->id }}">
                    <p class="flex flex-wrap items-center gap-x-3 gap-y-2">
                        <span class="plate">{{ $page->vehicle->plate }}</span> {{ $page->vehicle->name }}
                        <a href="/vehicles">Another vehicle</a>
                    </p>
                @endif
                @if ($page->vehicle->notes !== '')<p class="help">{{ $page->vehicle->notes }}</p>@endif
                @if ($page->open)
                    <p class="error">
                        @icon('triangle-alert')<span>{{ $page->open->number() }} is open on this vehicle.
                            Go on with it, or sign it off first.</span>
                    </p>
                @endif
            </div>
            @if ($page->templates->isNotEmpty())
                <nav class="mb-4 flex flex-wrap gap-2 [&_[aria-current]]:bg-ink [&_[aria-current]]:text-panel" aria-label="Start from">
                    @foreach ($page->templates as $template)<a class="inline-flex min-h-11 min-w-11 items-center justify-center whitespace-nowrap rounded border border-rule px-3 font-medium text-inherit max-[900px]:px-[9px] max-[640px]:px-2"
                        href="{{ $template->plan($page->vehicle) }}">{{ $template->name }}</a>@endforeach
                </nav>
            @endif
            <x-plan-choice :choice="$page->kind()"/>
            <div class="border-t border-rule">
                @foreach ($page->questions() as $choice)
                    <x-plan-fold :label="$choice->label" :said="$choice->said()" :open="$choice->differs()"><x-plan-choice :choice="$choice"
                        plain/></x-plan-fold>
                @endforeach
                @foreach ($page->afterTheFill() as $choice)
                    <x-plan-fold :label="$choice->label" :said="$choice->said()" :open="$choice->differs()"><x-plan-choice :choice="$choice"
                        plain/></x-plan-fold>
                @endforeach
                <x-plan-fold label="Helped by" :said="$page->said($page->aids())"
                    :open="$page->way() !== null && $page->way()->aids !== []">
                    <x-ticks name="aids" :ticks="$page->aids()"/>
                </x-plan-fold>
                <x-plan-fold :label="$page->openedIs()" :said="$page->said($page->parts())" :open="$page->hasOpened() || $page->isLost()">
                    <x-ticks name="opened" :ticks="$page->parts()"/>
                </x-plan-fold>
                <x-plan-fold label="Drains" :said="$page->said($page->drains())" :open="false">
                    <x-ticks name="drains" :ticks="$page->drains()"/>
                    <p class="help">Opened in this order. Until one is ticked they are those worth it.</p>
                </x-plan-fold>
                @if ($page->bleeds() !== [])
                    <x-plan-fold label="Bleed points" :said="$page->said($page->bleeds())" :open="false"><x-ticks name="bleeds"
                        :ticks="$page->bleeds()"/></x-plan-fold>
                @endif
                <x-plan-fold label="Mixture" :said="$page->saidMixture()"
                    :open="$page->mixtureDiffers() || $errors->hasAny(['target', 'frost'])">
                    <div class="pair">@foreach ($page->strengths() as $stepper)<x-plan-stepper :stepper="$stepper"/>@endforeach</div>
                </x-plan-fold>
                <x-plan-fold label="Tools" :said="$page->said($page->tools())" :open="false">
                    <input type="hidden" name="tools_chosen" value="1">
                    <x-ticks name="tools" :ticks="$page->tools()"/>
                </x-plan-fold>
                <x-plan-fold label="Raised, funnel, cure" :said="$page->saidHeights()"
                    :open="$page->saidHeights() !== 'none' || $errors->hasAny(['lift', 'head', 'cure'])">
                    @foreach ($page->heights() as $stepper)<x-plan-stepper :stepper="$stepper"/>@endforeach
                </x-plan-fold>
                <x-plan-fold label="Where" :said="$page->saidPlace()"
                    :open="$page->saidPlace() !== 'In the shop' || $errors->hasAny(['elevation', 'shelter'])">
                    <x-plan-stepper :stepper="$page->elevation()"/>
                    <x-plan-choice :choice="$page->shelter()" plain/>
                    <p class="help">Limits, boiling and the vacuum’s target follow the height; the cool-down follows what is around it.</p>
                </x-plan-fold>
                <x-plan-fold label="Distance, last change" said=""
                    :open="$errors->hasAny(['odometer', 'last_odometer', 'hours', 'last_hours', 'last_month'])">
                <div class="pair">@foreach ($page->usage() as $stepper)<x-plan-stepper :stepper="$stepper"/>@endforeach</div>
                <div @class(['field', 'has-error' => $errors->has('last_month')])>
                    <label for="last_month">Coolant last changed <small>year-month</small></label>
                    <input id="last_month" name="last_month" type="text" inputmode="numeric" placeholder="2024-05" autocomplete="off"
                        value="{{ $typed('last_month', $page->lastMonth()) }}">
                    @error('last_month')<p class="error">@icon('triangle-alert'){{ $message }}</p>@enderror
                </div>
                <label class="tick"><input type="checkbox" name="first_fill" value="1"><span>Still the first fill</span></label>
                </x-plan-fold>
            </div>
            <p class="sticky bottom-0 bg-panel py-2 print:static">
                @if ($page->open)
                    <a class="button button-go button-wide" href="/jobs/{{ $page->open->id }}">Go on with {{ $page->open->number() }}</a>
                @else
                    <button class="button button-go button-wide" data-key="e" data-key-label="Start this job">Start this job</button>
                @endif
            </p>
            @if ($page->mayKeepTemplates)
                <details class="field" @if ($errors->has('template')) open @endif>
                    <summary class="button button-quiet button-wide">Keep as a template…</summary>
                    <x-input name="template" label="Name, such as “coolant change, quick”"/>
                    <p class="help">Keeps job, complaint, what is in it, way of filling, what is poured and the cure. The rest is each
                        vehicle’s
                        own.</p>
                    <button class="button button-quiet" formaction="/templates">Keep it</button>
                </details>
            @endif
        </form>
        <div id="outcome" class="grid grid-cols-[minmax(0,1fr)] min-[1181px]:grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)] items-start gap-[18px]" aria-live="polite">
            @error('measured')<p class="error" role="alert">@icon('triangle-alert')Not measured: {{ $message }}</p>@enderror
            @include('plan.choice', ['worked' => $page->worked])
            <div class="contents" data-fragment="ranges"></div>
        </div>
    </div>
</x-layout>
