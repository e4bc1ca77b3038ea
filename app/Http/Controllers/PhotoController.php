<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\Recorder;
use App\Models\Job;
use App\Models\Photo;
use App\Photos\DecodingSlot;
use App\Photos\Photograph;
use App\Photos\Quota;
use Aqbel\Core\InvalidField;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Photographs of a job: taken at a step, shown only to people who are signed in. */
final class PhotoController extends JournalController
{
    public function store(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        // A script keeps it and sends it again by itself.
        $slot = DecodingSlot::take()
            ?? ($request->expectsJson()
                ? abort(503, headers: ['Retry-After' => '2'])
                : throw new InvalidField(
                    'photo',
                    'Other photographs are just being made smaller. Send it again in a moment.',
                ));
        try {
            return $this->attempt($request, $job, function (Recorder $recorder) use ($request, $job): void {
                Quota::assertRoom($job);
                $recorder->photograph(
                    self::text($request, 'step'),
                    Photograph::from($request->file('photo')),
                    self::text($request, 'caption'),
                );
            });
        } finally {
            unset($slot);
        }
    }

    public function show(Photo $photo, ?string $size = null): BinaryFileResponse
    {
        $path = $photo->path($size === 'small');
        abort_unless(is_file($path), 404);

        return response()->file($path, [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => 'private, max-age=31536000, immutable',
            'Content-Disposition' => 'inline; filename="photo.jpg"',
        ]);
    }
}
