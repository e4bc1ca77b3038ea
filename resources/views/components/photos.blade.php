@props(['photos', 'empty' => ''])
@if ($photos !== [])
    <ul class="photos">
        @foreach ($photos as $photo)
            <li>
                <a href="/photos/{{ $photo->id }}">
                    <img src="/photos/{{ $photo->id }}/small" alt="{{ $photo->alt }}" width="210" height="158" loading="lazy">
                </a>
                <p>{{ $photo->caption }} <small>{{ $photo->by }}</small></p>
            </li>
        @endforeach
    </ul>
@elseif ($empty !== '')
    <p class="help">{{ $empty }}</p>
@endif
