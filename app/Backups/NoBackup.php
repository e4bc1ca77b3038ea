<?php

declare(strict_types=1);

namespace App\Backups;

/** A file that cannot be restored from, and why; or a backup that could not be made. */
final class NoBackup extends \RuntimeException
{
}
