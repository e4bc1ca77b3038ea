<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Job;
use Illuminate\Support\Facades\Cache;

/** What is worked out of each signed job once, and kept together: a page reads one thing, and not one for every job. */
final readonly class EachJob
{
    private const KEPT_S = 30 * 86400;

    /** So many that were never looked at are worked out in one request; the rest in the next. */
    private const AT_ONCE = 40;

    /**
     * @param  array<int, mixed>  $known  by the id of the job
     * @param  int  $waiting  to be worked out yet
     */
    private function __construct(public array $known, public int $waiting)
    {
    }

    /**
     * @param  string  $name  under which it is kept
     * @param  list<int>  $jobs  by id
     * @param  \Closure(Job): mixed  $work  of a job with all that belongs to it
     */
    public static function of(string $name, array $jobs, \Closure $work): self
    {
        $kept = Cache::get("each.{$name}");
        $kept = is_array($kept) ? $kept : [];
        [$known, $fresh] = [[], 0];
        foreach ($jobs as $job) {
            if (array_key_exists($job, $kept)) {
                $known[$job] = $kept[$job];
            } elseif ($fresh < self::AT_ONCE) {
                $known[$job] = $work(Job::query()->with('circuit')->whereKey($job)->firstOrFail());
                $fresh++;
            }
        }
        $fresh === 0 || Cache::put("each.{$name}", $known, self::KEPT_S);

        return new self($known, count($jobs) - count($known));
    }
}
