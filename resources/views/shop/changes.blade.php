<x-layout title="Who changed what">
    <x-head>
        <h1>Who changed what</h1>
        <p>Shop, rules, rights, prices, people, circuits, vehicles. What was written in a job stands in its record.</p>
        <div class="ml-auto flex flex-wrap gap-2"><a class="button button-quiet" href="/shop">Shop</a></div>
    </x-head>
    <nav class="mb-4 flex flex-wrap gap-2 [&_[aria-current]]:bg-ink [&_[aria-current]]:text-panel" aria-label="About">
        <a class="inline-flex min-h-11 min-w-11 items-center justify-center whitespace-nowrap rounded border border-rule px-3 font-medium text-inherit max-[900px]:px-[9px] max-[640px]:px-2" href="/shop/changes" @if ($what === null) aria-current="true" @endif>All</a>
        @foreach ($subjects as $subject)
            <a class="inline-flex min-h-11 min-w-11 items-center justify-center whitespace-nowrap rounded border border-rule px-3 font-medium text-inherit max-[900px]:px-[9px] max-[640px]:px-2" href="/shop/changes?what={{ $subject->value }}" 
                @if ($what === $subject) aria-current="true" @endif>{{ $subject->label() }}</a>
        @endforeach
    </nav>
    @if ($lines->isEmpty())
        <x-empty><h2>Nothing yet</h2><p>The first change of
            {{ $what === null ? 'anything' : mb_strtolower($what->label()) }} will stand here.</p></x-empty>
    @else
        <ol class="mb-4 bg-panel px-5 py-2.5">
            @foreach ($lines as $line)
                <li class="grid gap-x-4 gap-y-0.5 border-b border-rule py-3 min-[821px]:grid-cols-[150px_180px_1fr]">
                    <time class="text-quiet" datetime="{{ $line->at->toIso8601String() }}">{{ $line->at->format('Y-m-d H:i') }}</time>
                    <b>{{ $line->person->name }}</b>
                    <span>{{ $line->what->label() }}: {{ $line->subject }}</span>
                    <ul class="wrap-anywhere min-[821px]:col-[2/-1]">
                        @foreach ($line->changes as [$field, $before, $after])
                            <li><code>{{ $field }}</code> 
                                {{ $before === '' ? 'nothing' : $before }} → {{ $after === '' ? 'nothing' : $after }}</li>
                        @endforeach
                    </ul>
                </li>
            @endforeach
        </ol>
        {{ $lines->links('layouts.pages') }}
    @endif
</x-layout>
