<form method="post" action="/stores/containers/{{ $can->container->id }}" class="no-print col-span-full" data-once>
    @csrf
    <label class="text-[0.9375rem] font-semibold" for="now-{{ $can->container->id }}">{{ $can->counted()->label }}</label>
    <div class="grid grid-cols-[1fr_auto_auto] items-center gap-2">
        <x-cell id="now-{{ $can->container->id }}" class="min-h-12 text-right text-lg" type="text" inputmode="decimal"
            name="fields[{{ $can->counted()->name }}]" :value="$can->count()" autocomplete="off"/>
        <span class="unit">{{ $can->unit() }}</span>
        <button class="button button-quiet">Count</button>
    </div>
</form>
