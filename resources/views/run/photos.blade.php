{{-- Photographs of this step; where earlier ones come back, both side by side. --}}
@if (! $page->ahead && $page->written->compares())
    <section class="compare" aria-labelledby="compare-title">
        <h2 id="compare-title">Before and now</h2>
        <div class="compare-sides">
            <div><h3>Before the work</h3><x-photos :photos="$page->written->photosBefore()" empty="No photograph was taken before the work."/></div>
            <div><h3>Now</h3><x-photos :photos="$page->written->photos()" empty="Photograph the same places from the same side."/></div>
        </div>
    </section>
@elseif ($page->written->photos() !== [])
    <section class="compare" aria-labelledby="photos-title">
        <h2 id="photos-title">Photographs</h2>
        <x-photos :photos="$page->written->photos()"/>
    </section>
@endif
@unless ($page->ahead)
    <div class="any-time">
        @foreach ($page->anyTime() as $shown)@include('run.form')@endforeach
        @unless ($page->done)
            <a class="button button-quiet" href="/jobs/{{ $page->job->id }}/manage#another-way" data-key="y" data-key-label="Another way from here">Another way from here</a>
        @endunless
    <form method="post" action="/jobs/{{ $page->job->id }}/photos" enctype="multipart/form-data" class="entry photo-form" data-send data-photo
        data-most-bytes="{{ App\Photos\Photograph::MOST_BYTES }}">
        @include('run.sent', ['step' => $page->step->id, 'stay' => true])
        <details @if ($errors->has('photo') || $errors->has('caption')) open @endif>
            <summary class="button button-quiet button-wide" data-key="m" data-key-label="Photograph">@icon('camera')Photograph…</summary>
            <div @class(['field', 'has-error' => $errors->has('photo')])>
                <label for="photo">Picture <small>JPEG, PNG or WebP, up to 12 MB</small></label>
                <input id="photo" type="file" name="photo" accept="image/jpeg,image/png,image/webp" capture="environment"
                    @error('photo') aria-invalid="true" aria-describedby="photo-error" @enderror>
                <p class="error" id="photo-error" data-photo-error @unless ($errors->has('photo')) hidden @endunless>
                    @icon('triangle-alert')<span>{{ $errors->first('photo') }}</span>
                </p>
            </div>
            <div class="field field-text">
                <label for="caption">What it shows</label>
                <input id="caption" type="text" name="caption" maxlength="200" autocomplete="off"
                    value="{{ $typed('caption') }}">
            </div>
            <button class="button button-wide">Keep the photograph</button>
        </details>
    </form>
    </div>
@endunless
