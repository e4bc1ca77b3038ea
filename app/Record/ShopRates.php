<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Job;
use App\Shop\LabourSheet;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Learned\JobRates;
use Aqbel\Core\Learned\Rate;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;

/** How this shop goes beside what is usual: cool-downs, runs, hands. Each job is worked out once. */
final class ShopRates
{
    private const KEPT_S = 30 * 86400;

    private const AT_ONCE = 40;

    private const LABELS = [JobRates::COOLING => 'A cool-down takes', JobRates::PURGING => 'Air that a run leaves'];

    /**
     * @param  Collection<int, Job>  $jobs  signed ones, the newest first
     * @return list<array{what: string, rate: Rate}> those that most jobs tell of first
     */
    public static function of(Collection $jobs): array
    {
        [$ratios, $fresh] = [[], self::AT_ONCE];
        foreach ($jobs as $job) {
            $known = Cache::get("rates.{$job->id}");
            if ($known === null && $fresh-- <= 0) {
                continue;
            }
            foreach ($known ?? self::keep($job) as $code => $ratio) {
                $ratios[$code][] = $ratio;
            }
        }
        $rates = [];
        foreach ($ratios as $code => $all) {
            $rate = Rate::of($all);
            if ($rate !== null) {
                $rates[] = ['what' => self::LABELS[$code] ?? LabourSheet::label(substr($code, strlen(JobRates::HANDS))).', hands', 'rate' => $rate];
            }
        }
        usort($rates, fn (array $one, array $other) => [$other['rate']->tellsBetter, $other['rate']->jobs] <=> [$one['rate']->tellsBetter, $one['rate']->jobs]);

        return $rates;
    }

    /** @return array<string, float> */
    private static function keep(Job $job): array
    {
        $state = $job->state();
        $choices = Plan::of($state)->choices;
        $rates = JobRates::of($state, fn (Step $step) => app(StepCatalogue::class)->labour($step, $choices));
        Cache::put("rates.{$job->id}", $rates, self::KEPT_S);

        return $rates;
    }
}
