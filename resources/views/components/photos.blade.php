@props(['photos', 'empty' => ''])
@if ($photos !== [])
    <ul class="photos grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] gap-3">
        @foreach ($photos as $photo)
            <li>
                <a href="/photos/{{ $photo->id }}">
                    <img src="/photos/{{ $photo->id }}/small" class="block aspect-[4/3] w-full border border-rule object-cover"
                        alt="{{ $photo->alt }}" width="210" height="158" loading="lazy">
                </a>
                <p class="mt-1 text-[0.9375rem]/[1.3]">{{ $photo->caption }} <small class="block">{{ $photo->by }}</small></p>
            </li>
        @endforeach
    </ul>
@elseif ($empty !== '')
    <p class="help">{{ $empty }}</p>
@endif
