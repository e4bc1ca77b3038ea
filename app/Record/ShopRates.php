<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Job;
use App\Shop\LabourSheet;
use App\Shop\RuleBook;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Learned\JobRates;
use Aqbel\Core\Learned\Rate;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\Labour;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Shopping;

/** How this shop goes beside what is usual: cool-downs, runs, hands, spills. A lead takes over what tells better. */
final readonly class ShopRates
{
    private const LABELS = [
        JobRates::COOLING => 'A cool-down takes',
        JobRates::PURGING => 'Air that a run leaves',
        JobRates::SPILLING => 'Coolant a job takes, with what is spilt',
    ];

    /** Rules that are a factor of what is usual, by the rate they are taken from. */
    private const FACTORS = [JobRates::COOLING => 'coolingFactor', JobRates::PURGING => 'purgingFactor'];

    /** @param  array<string, Rate>  $rates  by code */
    private function __construct(private array $rates, private HouseRules $rules)
    {
    }

    /** @param  list<int>  $jobs  signed ones, by id */
    public static function of(array $jobs, HouseRules $rules): self
    {
        $ratios = [];
        foreach (EachJob::of('rates', $jobs, self::told(...))->known as $told) {
            foreach (is_array($told) ? $told : [] as $code => $ratio) {
                $ratios[$code][] = (float) $ratio;
            }
        }

        return new self(array_filter(array_map(Rate::of(...), $ratios), fn (?Rate $rate) => $rate !== null), $rules);
    }

    /** @return list<RateRow> what can be taken over first, then what most jobs tell of */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->rates as $code => $rate) {
            $rows[] = match (true) {
                isset(self::FACTORS[$code]) => $this->factor($code, $rate),
                str_starts_with($code, JobRates::HANDS) => $this->hands($code, $rate),
                default => new RateRow(
                    $code,
                    $this->label($code),
                    $rate,
                    round(100.0 * (Shopping::SPARE - 1.0)).' % to spare',
                    '',
                    false,
                ),
            };
        }
        usort(
            $rows,
            fn (RateRow $one, RateRow $other) => [
                $other->canBeTaken(),
                $other->rate->tellsBetter,
                $other->rate->jobs,
            ] <=> [$one->canBeTaken(), $one->rate->tellsBetter, $one->rate->jobs],
        );

        return $rows;
    }

    /**
     * The rules of the house as they are stored, with one rate taken over, or as usual again.
     *
     * @return array<string, mixed>
     *
     * @throws InvalidField on `rate`, where it tells no job better
     */
    public function taken(string $code, bool $asUsual): array
    {
        $rate = $this->rates[$code] ?? null;
        $stored = RulesCodec::write($this->rules);
        $activity = substr($code, strlen(JobRates::HANDS));
        $isKnown = isset(self::FACTORS[$code])
            || (str_starts_with($code, JobRates::HANDS) && in_array($activity, Labour::activities(), true));
        if (! $isKnown || (! $asUsual && ($rate === null || ! $rate->tellsBetter))) {
            throw new InvalidField(
                'rate',
                'What is usual tells the next job as well by now. It is shown as it is now.',
            );
        }
        if (isset(self::FACTORS[$code])) {
            return [...$stored, self::FACTORS[$code] => $asUsual ? 1.0 : self::safe($code, $rate)];
        }
        $minutes = [
            'hands' => $asUsual ? Labour::usual($activity)->hands : self::minutes($activity, $rate),
            'wait' => $this->rules->labour->of($activity)->wait,
        ];

        return [
            ...$stored,
            'labour' => [...is_array($stored['labour']) ? $stored['labour'] : [], $activity => $minutes],
        ];
    }

    public function label(string $code): string
    {
        return self::LABELS[$code] ?? LabourSheet::label(substr($code, strlen(JobRates::HANDS))).', hands';
    }

    private function factor(string $code, Rate $rate): RateRow
    {
        $now = $code === JobRates::COOLING ? $this->rules->coolingFactor : $this->rules->purgingFactor;
        $say = fn (float $factor): string => number_format($factor, 2).' × the usual';

        return new RateRow(
            $code,
            $this->label($code),
            $rate,
            $say($now),
            $say(self::safe($code, $rate)),
            abs($now - 1.0) > 0.005,
        );
    }

    private function hands(string $code, Rate $rate): RateRow
    {
        $activity = substr($code, strlen(JobRates::HANDS));
        [$now, $usual] = [$this->rules->labour->of($activity)->hands, Labour::usual($activity)->hands];
        $isSet = in_array($activity, Labour::activities(), true);

        return new RateRow(
            $code,
            $this->label($code),
            $rate,
            "{$now} min",
            $isSet ? self::minutes($activity, $rate).' min' : '',
            $now !== $usual,
        );
    }

    private static function minutes(string $activity, Rate $rate): float
    {
        return max(0.5, round(2.0 * $rate->factor * Labour::usual($activity)->hands) / 2.0);
    }

    /** A shop whose engines cool sooner is taken at its word for the slower end of what it says: a neck hangs on it. */
    private static function safe(string $code, Rate $rate): float
    {
        $factor = $code === JobRates::COOLING && $rate->factor < 1.0 ? min(1.0, $rate->high) : $rate->factor;

        return round(max(RuleBook::LEAST_FACTOR, min(RuleBook::MOST_FACTOR, $factor)), 2);
    }

    /** @return array<string, float> */
    private static function told(Job $job): array
    {
        $state = $job->state();
        $usual = Plan::of($state)->choices->byRules(new HouseRules);

        return JobRates::of($state, fn (Step $step) => app(StepCatalogue::class)->labour($step, $usual));
    }
}
