<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Backups\LastBackup;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** For whoever watches over the machine: whether it works, without a session and without anything of the shop. */
final class HealthController
{
    /** Below this the next photograph may not fit (common practice, no source). */
    private const LEAST_FREE_BYTES = 500_000_000;

    public function __invoke(): JsonResponse
    {
        $parts = ['database' => $this->database(), 'disk' => $this->disk(), 'backup' => $this->backup()];
        $works = $parts['database'] === 'ok' && $parts['disk'] === 'ok';

        return response()->json(
            ['works' => $works, 'version' => config('aqbel.version'), ...$parts],
            $works ? 200 : 503,
        )->header('Cache-Control', 'no-store');
    }

    private function database(): string
    {
        try {
            DB::selectOne('select 1 from shops limit 1');

            return 'ok';
        } catch (\Throwable) {
            return 'cannot be read';
        }
    }

    private function disk(): string
    {
        $free = @disk_free_space(dirname((string) config('aqbel.photos')));

        return $free === false || $free >= self::LEAST_FREE_BYTES ? 'ok' : 'nearly full';
    }

    private function backup(): string
    {
        $last = LastBackup::here();

        return match (true) {
            $last->at === null => 'none yet',
            $last->isFresh() => 'ok',
            default => $last->worked ? 'old' : 'failed',
        };
    }
}
