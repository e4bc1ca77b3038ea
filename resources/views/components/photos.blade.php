@props(['photos', 'empty' => ''])
@if ($photos !== [])
    <ul class="photos">
        @foreach ($photos as $photo)
            <li><a href="/photos/{{ $photo->text('photo') }}"><img src="/photos/{{ $photo->text('photo') }}/small" alt="{{ $photo->text('caption') !== '' ? $photo->text('caption') : 'Photograph of '.date('H:i', $photo->at) }}" width="210" height="158" loading="lazy"></a><p>{{ $photo->text('caption') }} <small>{{ $photo->person }}, {{ date('m-d H:i', $photo->at) }}</small></p></li>
        @endforeach
    </ul>
@elseif ($empty !== '')
    <p class="help">{{ $empty }}</p>
@endif
