<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Job;
use App\Models\Shop;
use Aqbel\Core\Learned\FromJob;
use Aqbel\Core\Learned\LeftOut;
use Aqbel\Core\Learned\MeasuredJob;
use Aqbel\Core\Learned\Predicted;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * How well this shop's circuits say beforehand what is measured afterwards: the share within the range they state, how
 * far off the middle one is, what came back, and which circuits are worst. Good or bad, by signed jobs alone.
 */
final readonly class HowWell
{
    /** The newest jobs: those before them were of other circuits and other people. */
    private const MOST_JOBS = 400;

    private const KEPT_S = 30 * 86400;

    /** What a range states, and less than this of it is said to be short of it. */
    public const STATED = 0.95;

    /** Fewer figures than this say nothing of a circuit. */
    private const LEAST = 4;

    /**
     * @var list<array{month: string, jobs: int, figures: int, within: int,
     * drains: string, stays: string, back: int}> the newest first
     */
    public array $months;

    /** @var list<array{circuit: int, name: string, figures: int, within: int, off: string}> the worst first */
    public array $circuits;

    public int $figures;

    public int $within;

    /** @var array<string, int> jobs that say nothing of their circuit, by why */
    public array $leftOut;

    /** @var list<RateRow> how this shop goes beside what is usual */
    public array $rates;

    /** Jobs still to be worked out. */
    public int $waiting;

    /** @return list<int> signed ones of this shop by id, the newest first */
    public static function jobs(): array
    {
        return array_map(fn (\stdClass $job) => (int) $job->id, self::signed());
    }

    /** @return list<\stdClass> read without models: there are hundreds */
    private static function signed(): array
    {
        return array_values(
            DB::table('jobs')
                ->join('circuits', 'circuits.id', '=', 'jobs.circuit_id')
                ->whereNotNull('signed_at')
                ->whereNull('jobs.document')
                ->orderByDesc('signed_at')
                ->orderByDesc('jobs.id')
                ->limit(self::MOST_JOBS)
                ->get(['jobs.id', 'signed_at', 'circuit_id', 'key', 'name'])
                ->all(),
        );
    }

    public function __construct(private UnitSystem $units)
    {
        $signed = self::signed();
        $jobs = array_map(fn (\stdClass $job) => (int) $job->id, $signed);
        $back = DB::table('job_facts')->whereIn('job_id', $jobs)->where('came_back', true)->pluck('job_id')->flip();
        $each = EachJob::of('predicted', $jobs, self::told(...));
        [$months, $circuits, $leftOut] = [[], [], []];
        foreach ($signed as $job) {
            $known = $each->known[$job->id] ?? null;
            if ($known === null) {
                continue;
            }
            $month = substr((string) $job->signed_at, 0, strlen('2026-11'));
            $months[$month]['jobs'] = ($months[$month]['jobs'] ?? 0) + 1;
            $months[$month]['back'] = ($months[$month]['back'] ?? 0) + (isset($back[$job->id]) ? 1 : 0);
            if (is_string($known)) {
                $leftOut[$known] = ($leftOut[$known] ?? 0) + 1;

                continue;
            }
            foreach ($known as [$stays, $offMl, $holds]) {
                $months[$month]['figures'][] = [$stays, $offMl, $holds];
                $circuits[$job->key]['model'] = $job;
                $circuits[$job->key]['figures'][] = [$stays, $offMl, $holds];
            }
        }
        $this->rates = ShopRates::of($jobs, Shop::here()->houseRules())->rows();
        $this->waiting = $each->waiting;
        $this->leftOut = $leftOut;
        $this->months = array_map(
            fn (string $month, array $of): array => [
                'month' => $month,
                'jobs' => $of['jobs'],
                'figures' => count($of['figures'] ?? []),
                'within' => self::holding($of['figures'] ?? []),
                'drains' => $this->middle($of['figures'] ?? [], false),
                'stays' => $this->middle($of['figures'] ?? [], true),
                'back' => $of['back'],
            ],
            array_keys($months),
            $months,
        );
        $worst = array_filter($circuits, fn (array $of) => count($of['figures']) >= self::LEAST);
        uasort(
            $worst,
            fn (array $one, array $other) => self::holding($one['figures']) / count($one['figures'])
                <=> self::holding($other['figures']) / count($other['figures']),
        );
        $this->circuits = array_values(
            array_map(
                fn (array $of): array => [
                    'circuit' => (int) $of['model']->circuit_id,
                    'name' => $of['model']->name,
                    'figures' => count($of['figures']),
                    'within' => self::holding($of['figures']),
                    'off' => $this->middle($of['figures'], null),
                ],
                $worst,
            ),
        );
        $this->figures = array_sum(array_column($this->months, 'figures'));
        $this->within = array_sum(array_column($this->months, 'within'));
    }

    public static function percent(int $within, int $of): string
    {
        return $of === 0 ? '–' : round(100.0 * $within / $of).' %';
    }

    /**
     * What of a job was said beforehand, how far off it was, and whether it lay within; or why it says nothing.
     *
     * @return string|list<array{bool, float, bool}>
     */
    private static function told(Job $job): string|array
    {
        $told = FromJob::of($job->state());

        return $told instanceof LeftOut ? $told->label() : self::compared($job, $told);
    }

    /** @return list<array{bool, float, bool}> */
    private static function compared(Job $job, MeasuredJob $measured): array
    {
        $circuit = $job->circuit->read();
        $said = Cache::remember(
            "predicted.{$job->circuit_id}.".sha1($measured->order()),
            self::KEPT_S,
            fn (): array => Predicted::of($circuit, $measured),
        );

        return array_map(
            fn (Predicted $one, array $was): array => [$one->stays, $was[0] - $one->ml, $one->holds($was[0], $was[1])],
            $said,
            Predicted::measured($circuit, $measured),
        );
    }

    /** @param  list<array{bool, float, bool}>  $figures */
    private static function holding(array $figures): int
    {
        return count(array_filter($figures, fn (array $one) => $one[2]));
    }

    /**
     * How far off the middle one is.
     *
     * @param  list<array{bool, float, bool}>  $figures
     * @param  ?bool  $stays  what stays, or what drains let out, or both
     */
    private function middle(array $figures, ?bool $stays): string
    {
        $off = array_map(
            fn (array $one) => abs($one[1]),
            array_values(array_filter($figures, fn (array $one) => $stays === null || $one[0] === $stays)),
        );
        sort($off);

        return $off === [] ? '–' : $this->units->format($off[intdiv(count($off), 2)], Dimension::Volume);
    }
}
