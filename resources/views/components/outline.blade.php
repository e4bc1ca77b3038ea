{{-- A circuit's picture in a list, light and dark. --}}
@props(['src'])
<span class="block aspect-[13/9]">
    <img class="size-full object-contain dark:hidden" src="{{ $src }}" alt="" loading="lazy" width="1040" height="720">
    <img class="hidden size-full object-contain dark:block" src="{{ $src }}?theme=dark" alt="" loading="lazy" width="1040" height="720">
</span>
