{{-- Photographs of this step; where earlier ones come back, both side by side. --}}
@if (! $page->ahead && $page->written->compares())
    <section class="mt-[18px] border-t border-rule pt-2.5" aria-labelledby="compare-title">
        <h2 class="mb-1.5 text-[1.125rem] text-quiet" id="compare-title">Before and now</h2>
        <div class="grid max-[520px]:gap-y-2.5 min-[521px]:grid-cols-2">
            <div class="min-[521px]:pr-3.5">
                <h3 class="mb-1 text-[1.0625rem]">Before the work</h3><x-photos :photos="$page->written->photosBefore()"
                empty="No photograph was taken before the work."/></div>
            <div class="border-dashed border-level max-[520px]:border-t-3 max-[520px]:pt-2.5 min-[521px]:border-l-3 min-[521px]:pl-3.5">
                <h3 class="mb-1 text-[1.0625rem]">Now</h3><x-photos :photos="$page->written->photos()"
                empty="Photograph the same places from the same side."/></div>
        </div>
    </section>
@elseif ($page->written->photos() !== [])
    <section class="mt-[18px] border-t border-rule pt-2.5" aria-labelledby="photos-title">
        <h2 class="mb-1.5 text-[1.125rem] text-quiet" id="photos-title">Photographs</h2>
        <x-photos :photos="$page->written->photos()"/>
    </section>
@endif
@unless ($page->ahead)
    <div class="mt-[18px] grid grid-cols-[repeat(auto-fit,minmax(min(13rem,100%),1fr))] items-start gap-2 [&>form]:m-0 [&>form:has(details[open])]:col-span-full">
        @foreach ($page->anyTime() as $shown)@include('run.form')@endforeach
        @unless ($page->done)
            <a class="button button-quiet" href="/jobs/{{ $page->job->id }}/manage#another-way" data-key="y"
                data-key-label="Another way from here">Another way from here</a>
        @endunless
    <form method="post" action="/jobs/{{ $page->job->id }}/photos" enctype="multipart/form-data" class="entry photo-form my-3 in-[.dock]:m-0 [&_details[open]]:border [&_details[open]]:border-rule [&_details[open]]:p-3 [&_details[open]>summary]:mb-3" data-send
        data-photo
        data-most-bytes="{{ App\Photos\Photograph::MOST_BYTES }}">
        @include('run.sent', ['step' => $page->step->id, 'stay' => true])
        <details @if ($errors->has('photo') || $errors->has('caption')) open @endif>
            <summary class="button button-quiet button-wide" data-key="m" data-key-label="Photograph">@icon('camera')Photograph…</summary>
            <div @class(['field mb-3', 'has-error' => $errors->has('photo')])>
                <label for="photo">Picture <small>JPEG, PNG or WebP, up to 12 MB</small></label>
                <input id="photo" type="file" name="photo"
                    class="min-h-13 w-full rounded-sm border border-quiet bg-panel p-1.5 file:mr-3 file:min-h-11 file:border-0 file:bg-sunk
                        file:px-4 file:text-[1rem] file:font-semibold file:text-ink" accept="image/jpeg,image/png,image/webp"
                        capture="environment"
                    @error('photo') aria-invalid="true" aria-describedby="photo-error" @enderror>
                <p class="error" id="photo-error" data-photo-error @unless ($errors->has('photo')) hidden @endunless>
                    @icon('triangle-alert')<span>{{ $errors->first('photo') }}</span>
                </p>
            </div>
            <div class="field field-text mb-3">
                <label for="caption">What it shows</label>
                <input id="caption" type="text" name="caption" maxlength="200" autocomplete="off"
                    value="{{ $typed('caption') }}">
            </div>
            <button class="button button-wide">Keep the photograph</button>
        </details>
    </form>
    </div>
@endunless
