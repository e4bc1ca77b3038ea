<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {{ $bar::WIDTH }} {{ $bar::HEIGHT }}" width="{{ $bar::WIDTH }}"
    height="{{ $bar::HEIGHT }}" aria-hidden="true" class="my-1 block h-3.5 w-full" preserveAspectRatio="none">
    <rect width="{{ $bar::WIDTH }}" height="{{ $bar::HEIGHT }}" fill="#d6e0dc" class="fill-sunk"/>
    <rect width="{{ $bar->surelyTo }}" height="{{ $bar::HEIGHT }}" fill="#00737f" class="fill-coolant"/>
    <rect x="{{ $bar->surelyTo }}" width="{{ round($bar->mayReach - $bar->surelyTo, 1) }}" height="{{ $bar::HEIGHT }}" fill="#7fb9bf"
        class="fill-coolant/50"/>
    <line x1="{{ $bar->mark }}" x2="{{ $bar->mark }}" y1="0" y2="{{ $bar::HEIGHT }}" stroke="#b23a08" class="stroke-level"
        stroke-width="2.5"/>
</svg>
