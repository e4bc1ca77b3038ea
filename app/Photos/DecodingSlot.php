<?php

declare(strict_types=1);

namespace App\Photos;

/** A large picture holds a worker for a second: so many of them at once, and the others answer everybody else. */
final class DecodingSlot
{
    public const SLOTS = 2;

    /** @param  resource  $file  locked as long as this is held */
    private function __construct(private $file)
    {
    }

    /** Null where all of them are taken. */
    public static function take(): ?self
    {
        $folder = (string) config('aqbel.photos');
        is_dir($folder) || mkdir($folder, 0o770, true);
        for ($slot = 1; $slot <= self::SLOTS; $slot++) {
            $file = fopen("{$folder}/.decoding-{$slot}", 'c');
            if ($file !== false && flock($file, LOCK_EX | LOCK_NB)) {
                return new self($file);
            }
        }

        return null;
    }

    public function __destruct()
    {
        fclose($this->file);
    }
}
