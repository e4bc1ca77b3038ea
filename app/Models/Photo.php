<?php

declare(strict_types=1);

namespace App\Models;

use App\Practice\FoundOnItsGround;
use Illuminate\Database\Eloquent\Concerns\HasUlids;

/**
 * A photograph of a job, stored as the application's own JPEG and a small one for lists. The journal says at which step
 * it was taken.
 *
 * @property string $id
 * @property int $job_id
 * @property int $width
 * @property int $height
 * @property int $bytes
 * @property ?string $digest  SHA-256 of the stored picture; null of those taken before it was kept
 */
class Photo extends Row
{
    use FoundOnItsGround;
    use HasUlids;

    protected $table = 'photos';

    public function path(bool $small = false): string
    {
        return config('aqbel.photos')."/{$this->job_id}/{$this->id}".($small ? '.small' : '').'.jpg';
    }

    /** Of the picture as it lies on the disk; empty where none does. */
    public function digested(): string
    {
        return (string) @hash_file('sha256', $this->path());
    }

    /** Takes the files away again. */
    public function discard(): void
    {
        array_map(fn (bool $small) => @unlink($this->path($small)), [false, true]);
    }
}
