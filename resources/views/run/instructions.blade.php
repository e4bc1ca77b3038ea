<ol class="instructions danger:hidden my-3.5 grid max-w-[64ch] list-decimal gap-1.5 pl-[1.5em] text-[1.125rem] marker:font-gauge marker:font-semibold marker:text-coolant-deep">
    @foreach ($page->instructions() as $instruction)<li>{{ $instruction }}</li>@endforeach
</ol>
