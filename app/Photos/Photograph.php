<?php

declare(strict_types=1);

namespace App\Photos;

use App\Models\Photo;
use Aqbel\Core\InvalidField;
use GdImage;
use Illuminate\Http\UploadedFile;

/**
 * An uploaded picture that has been looked at: its name, size, type and every pixel of it. Only what the decoder made
 * of it is kept, so nothing hidden in the file survives, the place where it was taken included.
 */
final readonly class Photograph
{
    public const MOST_BYTES = 12 * 1024 * 1024;

    /** What can be decoded and turned within the memory and the two seconds of a request. */
    private const MOST_PIXELS = 24_000_000;

    private const SIDE = 2000;

    private const SMALL_SIDE = 420;

    private const QUALITY = 82;

    private const DECODERS = [
        IMAGETYPE_JPEG => 'imagecreatefromjpeg',
        IMAGETYPE_PNG => 'imagecreatefrompng',
        IMAGETYPE_WEBP => 'imagecreatefromwebp',
    ];

    private function __construct(private GdImage $large)
    {
    }

    /** @throws InvalidField on `photo`, saying what is wrong with the file and what to do */
    public static function from(mixed $file): self
    {
        if (! $file instanceof UploadedFile) {
            throw self::refused('Choose a photograph first.');
        }
        $refusedBySize = in_array($file->getError(), [UPLOAD_ERR_INI_SIZE, UPLOAD_ERR_FORM_SIZE], true);
        if ($refusedBySize || ($file->isValid() && $file->getSize() > self::MOST_BYTES)) {
            throw self::refused(
                sprintf(
                    'This file is larger than %d MB. Set the camera to a smaller picture and take it again.',
                    self::MOST_BYTES / 1024 / 1024,
                ),
            );
        }
        if (! $file->isValid()) {
            throw self::refused('The photograph arrived only in part. Send it again.');
        }
        self::assertHarmlessName($file->getClientOriginalPath());
        [$width, $height, $type] = @getimagesize($file->getRealPath()) ?: [0, 0, 0];
        if (! isset(self::DECODERS[$type])) {
            throw self::refused('This is not a photograph Aqbel can read. Take it as JPEG, PNG or WebP.');
        }
        if ($width < 1 || $height < 1 || $width * $height > self::MOST_PIXELS) {
            throw self::refused('This picture has more than 24 million pixels. Set the camera to a smaller '
                .'picture and take it again.');
        }

        $large = self::within(self::decode($file->getRealPath(), $type), self::SIDE);

        return new self(self::upright($large, $file->getRealPath(), $type));
    }

    /** @throws InvalidField on `photo` */
    public static function ofBytes(string $bytes): self
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'aqbel');
        try {
            file_put_contents($file, $bytes);

            return self::from(new UploadedFile($file, 'photo.jpg', test: true));
        } finally {
            unlink($file);
        }
    }

    /** The small one, as a file's bytes. */
    public function small(): string
    {
        ob_start();
        imagejpeg(self::within($this->large, self::SMALL_SIDE), null, self::QUALITY);

        return (string) ob_get_clean();
    }

    /** Writes both sizes, and says what is to be stored of them; whoever does not store it discards it. */
    public function keep(int $job): Photo
    {
        $photo = new Photo(['job_id' => $job, 'width' => imagesx($this->large), 'height' => imagesy($this->large)]);
        $photo->id = $photo->newUniqueId();
        if (! is_dir(dirname($photo->path()))) {
            mkdir(dirname($photo->path()), 0o770, true);
        }
        imagejpeg($this->large, $photo->path(), self::QUALITY);
        imagejpeg(self::within($this->large, self::SMALL_SIDE), $photo->path(small: true), self::QUALITY);
        $photo->bytes = (int) filesize($photo->path());
        $photo->digest = $photo->digested();

        return $photo;
    }

    /** A camera's name: no folder, no control characters, and the ending of a picture. */
    private static function assertHarmlessName(string $name): void
    {
        $readable = strlen($name) <= 180 && mb_check_encoding($name, 'UTF-8');
        $picture = $readable && preg_match('/^[^\x00-\x1F\/\\\\:*?"<>|]+\.(jpe?g|png|webp)$/iu', $name);
        if (! $picture || preg_match('/\.(php\d?|phtml|phar|html?|svg|js|sh|exe)\./i', $name)) {
            throw self::refused('A file with such a name is not taken. Rename it to letters and digits ending in '
                .'.jpg, .png or .webp, and choose it again.');
        }
    }

    private static function decode(string $path, int $type): GdImage
    {
        $whole = match ($type) {
            IMAGETYPE_JPEG => str_contains(substr((string) file_get_contents($path), -65536), "\xFF\xD9"),
            IMAGETYPE_PNG => str_contains(substr((string) file_get_contents($path), -64), 'IEND'),
            default => filesize($path) >= 8 + (
                unpack('V', (string) file_get_contents($path, offset: 4, length: 4)) ?: [1 => PHP_INT_MAX]
            )[1],
        };
        // The decoder patches over a hole and only warns of it; here a warning is a damaged picture.
        $lenient = ini_set('gd.jpeg_ignore_warning', '0');
        $warned = false;
        set_error_handler(function () use (&$warned): bool {
            return $warned = true;
        });
        try {
            $image = $whole ? (self::DECODERS[$type])($path) : false;
        } finally {
            restore_error_handler();
            ini_set('gd.jpeg_ignore_warning', (string) $lenient);
        }

        return $image === false || $warned
            ? throw self::refused('The photograph is damaged or arrived only in part. Take or send it again.')
            : $image;
    }

    /** Turned as the camera was held. */
    private static function upright(GdImage $image, string $path, int $type): GdImage
    {
        $exif = $type === IMAGETYPE_JPEG && function_exists('exif_read_data') ? @exif_read_data($path) : false;
        $held = is_array($exif) ? $exif['Orientation'] ?? 1 : 1;
        $degrees = [3 => 180, 6 => 270, 8 => 90][$held] ?? 0;

        return $degrees === 0 ? $image : (imagerotate($image, $degrees, 0) ?: $image);
    }

    private static function within(GdImage $image, int $side): GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $scale = min(1.0, $side / max($width, $height));
        [$w, $h] = [max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale))];
        $made = imagecreatetruecolor($w, $h);
        imagefill($made, 0, 0, (int) imagecolorallocate($made, 255, 255, 255));
        imagecopyresampled($made, $image, 0, 0, 0, 0, $w, $h, $width, $height);

        return $made;
    }

    private static function refused(string $why): InvalidField
    {
        return new InvalidField('photo', $why);
    }
}
