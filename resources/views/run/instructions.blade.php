<ol class="instructions">
    @foreach ($kind->instructions($at) as $instruction)<li>{{ $instruction }}</li>@endforeach
</ol>
