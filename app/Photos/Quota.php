<?php

declare(strict_types=1);

namespace App\Photos;

use App\Models\Job;
use App\Models\Photo;
use Aqbel\Core\InvalidField;

/** How many photographs a job takes, and how much of the disk all of them together. */
final class Quota
{
    /** More of one job than anybody looks at. */
    private const A_JOB = 60;

    /** @throws InvalidField on `photo`, saying what is full and what to do */
    public static function assertRoom(Job $job): void
    {
        if (Photo::query()->where('job_id', $job->id)->count() >= self::A_JOB) {
            throw new InvalidField(
                'photo',
                sprintf(
                    '%s has %d photographs, and takes no more. Take back one that shows nothing.',
                    $job->number(),
                    self::A_JOB,
                ),
            );
        }
        if (self::takenMb() >= self::mb()) {
            throw new InvalidField(
                'photo',
                sprintf(
                    'The photographs of this shop take all of their %s MB. Whoever looks after the machine gives '
                        .'them more (AQBEL_PHOTO_MB).',
                    number_format(self::mb()),
                ),
            );
        }
    }

    /** What all of them take, MB. */
    public static function takenMb(): float
    {
        return (float) Photo::query()->sum('bytes') / 1e6;
    }

    /** What they may take, MB. */
    public static function mb(): float
    {
        return (float) config('aqbel.photo_mb');
    }
}
