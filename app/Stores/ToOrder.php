<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Container;
use App\Models\Job;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\PartUsed;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What open jobs that are not mixed yet will want, what the shelf has of it, and what is short. */
final readonly class ToOrder
{
    /** One more pour of a jug is no order. */
    private const HARDLY_ML = 100.0;

    private const MOST_JOBS = 60;

    private const KEPT_S = 86400;

    private function __construct(
        public string $liquid,
        public string $wanted,
        public string $there,
        public string $short,
        public string $jobs,
    ) {
    }

    /** @return list<self> */
    public static function list(UnitSystem $units): array
    {
        [$wanted, $jobs, $suits] = [[], [], []];
        foreach (self::wants() as $number => $wants) {
            foreach ($wants as [$name, $ml, $what, $base, $inhibitor]) {
                $wanted[$name] = ($wanted[$name] ?? 0.0) + $ml;
                $jobs[$name][] = $number;
                $suits[$name] = [Liquid::from($what), Glycol::from($base), $inhibitor];
            }
        }
        ksort($wanted);
        $volume = fn (float $ml): string => $units->format($ml, Dimension::Volume);
        $shelf = Container::stores()->shelf;
        $list = [];
        foreach ($wanted as $name => $ml) {
            [$what, $base, $inhibitor] = $suits[$name];
            $there = array_sum(
                array_map(
                    fn (PartUsed $can) => $can->liquid === $what && $can->suits($base, $inhibitor) ? $can->ml : 0.0,
                    $shelf,
                ),
            );
            $list[] = new self(
                $name,
                $volume($ml),
                $volume($there),
                $ml - $there > self::HARDLY_ML ? $volume($ml - $there) : '',
                implode(', ', $jobs[$name]),
            );
        }

        return $list;
    }

    /**
     * What each open job wants, kept until something is written in it: a shop has hundreds of them.
     *
     * @return array<string, list<array{string, float, string, string, string}>> by its number
     */
    private static function wants(): array
    {
        $open = Job::query()->open()->latest('id')->limit(self::MOST_JOBS)->pluck('id');
        $last = DB::table('journal_lines')
            ->whereIn('job_id', $open)
            ->groupBy('job_id')
            ->selectRaw('job_id, max(seq) as seq')
            ->pluck('seq', 'job_id');
        $wants = [];
        foreach ($open as $id) {
            $wants[Job::numbered($id)] = Cache::remember(
                "wants.{$id}.".($last[$id] ?? 0),
                self::KEPT_S,
                fn (): array => self::of(Job::query()->with('circuit')->whereKey($id)->firstOrFail()),
            );
        }

        return $wants;
    }

    /**
     * @return list<array{string, float, string, string, string}>
     * name, mL, what, base and inhibitor; none once it is mixed
     */
    private static function of(Job $job): array
    {
        $state = $job->state();
        if (array_filter($state->stepsOf('mix'), fn (Step $step) => ! isset($state->closed[$step->id])) === []) {
            return [];
        }
        $plan = Plan::of($state);
        [$mix, $facts] = [$plan->mix($state->circuit), $state->circuit->facts];
        $liquid = $plan->choices->stockFraction < 1.0 ? Liquid::Premix : Liquid::Concentrate;
        $wants = [
            [
                "{$liquid->label()}, {$facts->inhibitor}",
                $mix->stock()->mL(),
                $liquid->value,
                $facts->base->value,
                $facts->inhibitor,
            ],
            [Liquid::Water->label(), $mix->water()->mL(), Liquid::Water->value, $facts->base->value, $facts->inhibitor],
        ];

        return array_values(array_filter($wants, fn (array $one) => $one[1] > 0.0));
    }
}
