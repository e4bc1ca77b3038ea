@if ($freeing->caught() !== [])
    <section class="order-4 col-span-full bg-panel px-5 py-4" aria-labelledby="freeing-title">
        <h2 class="mb-1" id="freeing-title">What would free the air <small>each tried alone, on top of what is planned</small></h2>
        @foreach ($freeing->caught() as $caught)
            <h3 class="mt-3 font-semibold">{{ $freeing->where($caught) }}</h3>
            <dl class="facts grid grid-cols-[repeat(auto-fit,minmax(min(100%,320px),1fr))] gap-x-8">
                @forelse ($caught->freers as $freer)
                    <div><dt>{{ $freeing->does($freer) }}</dt><dd>leaves {{ $freeing->leaves($freer) }}</dd></div>
                @empty
                    <div><dt>Nothing tried here frees it</dt><dd>another way of filling, or the engine once pump and jackets are wet</dd>
                        </div>
                @endforelse
            </dl>
        @endforeach
    </section>
@endif
