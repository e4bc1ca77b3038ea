{{-- A circuit's picture in a list, light and dark. --}}
@props(['src'])
<span class="card-picture">
    <img class="of-light" src="{{ $src }}" alt="" loading="lazy" width="1040" height="720">
    <img class="of-dark" src="{{ $src }}?theme=dark" alt="" loading="lazy" width="1040" height="720">
</span>
