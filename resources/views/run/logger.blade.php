<x-layout title="A logger’s table">
    <section class="sheet">
        <p class="step-stage font-gauge text-[1rem]/[normal] font-semibold text-quiet short:hidden">{{ $import->job->vehicle->plate }} · {{ $import->job->number() }}</p>
        <h1>{{ $import->name }}</h1>
        <p class="why mt-1 max-w-[68ch] text-[1rem]/[1.4] text-quiet">
            {{ number_format($import->file->lines()) }} lines over {{ $minutes }} min, {{ number_format($count) }} points. Columns parted by
            {{ ['\t' => 'tab', ';' => 'semicolon', ',' => 'comma'][$import->file->separator] ?? 'tab' }}{{ $import->file->decimalComma ? ', decimal comma' : '' }}{{ $import->file->isFahrenheit() ? ', in °F' : '' }}.
            Nothing is kept yet.
        </p>
        @error ('file')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
        @error ('columns')<p class="error error-block" role="alert">@icon('triangle-alert'){{ $message }}</p>@enderror
        @if ($curve)<div class="my-3">@include('instruments.paper-curve')</div>@endif
        <form method="post" action="/jobs/{{ $import->job->id }}/logger/keep" class="grid gap-3" data-once>
            @csrf
            <input type="hidden" name="import" value="{{ $import->key }}">
            <div class="grid gap-3 sm:grid-cols-2">
                @foreach ($import->file->names as $i => $name)
                    <div class="field"><label for="column-{{ $i }}">{{ $name === '' ? 'Column '.($i + 1) : $name }}</label>
                        <select id="column-{{ $i }}" name="columns[{{ $i }}]">
                            @foreach (App\Instruments\LoggerImport::choices() as $channel => $label)<option value="{{ $channel }}"
                                @selected(($import->file->channels[$i] ?? '') === $channel)>{{ $label }}</option>@endforeach
                        </select></div>
                @endforeach
            </div>
            <div class="field"><label for="began">Its first line was read at</label>
                <input id="began" name="began" type="datetime-local" step="1" value="{{ $began }}"
                    @error ('began') aria-invalid="true" aria-describedby="began-error" @enderror>
                @error ('began')<p class="error" id="began-error">@icon('triangle-alert'){{ $message }}</p>@enderror</div>
            <button class="button button-go button-wide">Keep it with this job</button>
            <button class="button button-quiet button-wide" formaction="/jobs/{{ $import->job->id }}/logger">Show it again so</button>
            <a class="button button-quiet button-wide" href="/jobs/{{ $import->job->id }}">Leave it</a>
        </form>
    </section>
</x-layout>
