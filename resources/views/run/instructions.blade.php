<ol class="instructions">
    @foreach ($page->instructions() as $instruction)<li>{{ $instruction }}</li>@endforeach
</ol>
