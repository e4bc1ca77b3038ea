@if ($paginator->hasPages())
    <nav class="mb-4 flex flex-wrap gap-2 [&_[aria-current]]:bg-ink [&_[aria-current]]:text-panel" aria-label="Pages">
        @if (! $paginator->onFirstPage())<a class="button button-quiet" rel="prev"
            href="{{ $paginator->previousPageUrl() }}">Before</a>@endif
        @if ($paginator->hasMorePages())<a class="button button-quiet" rel="next" href="{{ $paginator->nextPageUrl() }}">More</a>@endif
    </nav>
@endif
