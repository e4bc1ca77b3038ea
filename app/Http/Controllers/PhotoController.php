<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Journal\Recorder;
use App\Models\Job;
use App\Models\Photo;
use App\Photos\Photograph;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Photographs of a job: taken at a step, shown only to people who are signed in. */
final class PhotoController extends JournalController
{
    public function store(Request $request, Job $job): RedirectResponse|JsonResponse
    {
        return $this->attempt($request, $job, fn (Recorder $recorder) => $recorder->photograph(
            self::text($request, 'step'), Photograph::from($request->file('photo')), self::text($request, 'caption'),
        ));
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
