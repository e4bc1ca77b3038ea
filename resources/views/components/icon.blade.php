@props(['name'])
<svg class="icon" aria-hidden="true"><use href="/build/icons.svg#{{ $name }}"></use></svg>
