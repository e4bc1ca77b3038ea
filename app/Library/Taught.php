<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Circuit as Model;
use App\Models\Job;
use Aqbel\Core\Learned\Beside;
use Aqbel\Core\Learned\FromJob;
use Aqbel\Core\Learned\LeftOut;
use Aqbel\Core\Learned\MeasuredJob;
use Aqbel\Core\Learned\MeasuredJobs;
use Illuminate\Support\Facades\Cache;

/**
 * What jobs have measured of a circuit: the signed ones of this shop, whatever
 * revision they were planned on, and those that came with it.
 */
final readonly class Taught
{
    /** The newest jobs count; those before them were of another age of the circuit. */
    private const MOST_JOBS = 40;

    private const KEPT_S = 86400;

    /**
     * @param  list<MeasuredJob>  $jobs  of this shop, then those that came along
     * @param  list<string>  $numbers  of the jobs of this shop
     * @param  list<array{string, string}>  $leftOut  number, and why
     * @param  list<Beside>  $besides  what came of jobs beside what their plans said
     */
    private function __construct(
        public array $jobs,
        public array $numbers,
        public array $leftOut,
        public array $besides,
    ) {
    }

    public static function of(Model $model): self
    {
        $signed = Job::query()
            ->whereNotNull('signed_at')
            ->whereIn('circuit_id', Model::query()->where('key', $model->key)->select('id'))
            ->with('circuit')
            ->latest('signed_at')
            ->latest('id')
            ->limit(self::MOST_JOBS)
            ->get();
        [$jobs, $numbers, $leftOut, $besides] = [[], [], [], []];
        foreach ($signed as $job) {
            $told = Cache::remember(
                "measured.2.{$job->id}",
                self::KEPT_S,
                fn (): MeasuredJob|LeftOut => FromJob::of($job->state()),
            );
            array_push(
                $besides,
                ...Cache::remember("beside.{$job->id}", self::KEPT_S, fn (): array => Beside::of($job->state())),
            );
            if ($told instanceof LeftOut) {
                $leftOut[] = [$job->number(), $told->label()];
            } else {
                [$jobs[], $numbers[]] = [$told, $job->number()];
            }
        }

        return new self(
            [...$jobs, ...MeasuredJobs::with($model->document, $model->read())],
            $numbers,
            $leftOut,
            $besides,
        );
    }

    /** “4 jobs: J0002, J0005, …”. */
    public function whence(): string
    {
        $count = count($this->jobs);

        return "{$count} "
            .($count === 1 ? 'job' : 'jobs')
            .': '
            .implode(', ', [
                ...$this->numbers,
                ...$this->cameAlong() === 0 ? [] : ["{$this->cameAlong()} of another shop"],
            ]);
    }

    /** How many came along with the circuit from elsewhere. */
    public function cameAlong(): int
    {
        return count($this->jobs) - count($this->numbers);
    }
}
