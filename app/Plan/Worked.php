<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\LastJob;
use App\Models\Vehicle;
use App\Run\Level;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\Inherited;
use Aqbel\Core\Plan\AirsWay;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Comparison;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Plan\Format\ChoicesCodec;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\Ranges;
use Aqbel\Core\Plan\Simulations;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Schools\Combinations;
use Aqbel\Core\Schools\Way;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Stores\Shopping;
use Illuminate\Support\Facades\Cache;

/**
 * What the page shows of a plan, in three parts that follow one another: the plan itself, what else
 * could be done, and how sure it is. Each is kept by everything it depends on, so the same choices on
 * the same circuit with the same stores are worked out once.
 */
final class Worked
{
    private const KEPT_S = 3600;

    private const WORTH_KEPT_S = 86400;

    private readonly string $key;

    private readonly Simulations $fills;

    private ?Groundwork $groundwork = null;

    private ?Plan $nearest = null;

    public function __construct(
        private readonly Vehicle $vehicle,
        private readonly Circuit $circuit,
        public readonly Choices $choices,
        private readonly Inventory $stores,
        private readonly ?LastJob $before,
        private readonly UnitSystem $units,
        private readonly Planner $planner,
        private readonly StepCatalogue $kinds,
        ?Simulations $fills = null,
    ) {
        $this->fills = $fills ?? new Simulations($circuit, $choices, new KeptFills($vehicle->circuit_id));
        $by = [$vehicle->circuit_id, ChoicesCodec::write($choices), $stores, $before->watch ?? [], $units];
        $this->key = sha1(serialize([config('aqbel.version'), ...$by])); // markup of one version is not shown by the next
    }

    /** The numbers, what they depend on, the picture and the sequence, as markup. */
    public function plan(): string
    {
        return Cache::remember("plan.{$this->key}", self::KEPT_S, function (): string {
            $plan = $this->nearest();
            $ways = Shopping::ways($plan->mix($this->circuit), $this->stores->offers, $this->stores->shelf);
            $outcome = new Outcome(
                $this->circuit,
                $plan,
                $ways,
                $this->before,
                $this->units,
                $this->kinds,
                Inherited::of($this->vehicle->circuit->document),
            );

            return view('plan.outcome', ['outcome' => $outcome])->render();
        });
    }

    /** The way that is planned: the one asked for or, where it does not fit, the first that does. */
    public function way(): string
    {
        return Cache::remember(
            "way.{$this->key}",
            self::KEPT_S,
            fn (): string => $this->nearest()->school->id(),
        );
    }

    /** The same by another way. */
    public function by(string $way): self
    {
        return $way === $this->choices->school ? $this : new self(
            $this->vehicle,
            $this->circuit,
            $this->choices->with($way),
            $this->stores,
            $this->before,
            $this->units,
            $this->planner,
            $this->kinds,
            $this->fills,
        );
    }

    /** Which drains are worth it and which school, as markup. */
    public function besides(): string
    {
        return Cache::remember("besides.{$this->key}", self::KEPT_S, function (): string {
            $on = $this->groundwork();
            $plan = $this->nearest();
            $comparison = Comparison::of($this->planner, $on);
            $worth = DrainWorth::belowHeadspace(
                self::worth($this->vehicle, $this->circuit, $this->choices),
                $plan->headspaceMl(),
            );
            $asked = $this->planner->schools->of($this->choices->school);
            $misfit = $this->planner->misfit($asked, $on);
            $refused = match (true) {
                $misfit === null => '',
                $plan->school->id() === $asked->id() => 'No way fills every jacket of this circuit with what is at '
                    .'hand. It may be filled so, and no engine is started before '
                    .'enough is in: a bleed point or a second neck in the circuit, '
                    .'a funnel, or a vacuum filler would do it.',
                default => "What was asked for does not fit here, so the next that does is shown. {$misfit->remedy}",
            };
            $besides = new Besides(
                $this->circuit,
                $plan,
                $comparison,
                $worth,
                $this->units,
                $refused,
                Combinations::of($this->planner, $on),
                Combinations::brings($on, $plan->school instanceof Way ? $plan->school->by : $plan->school),
            );

            return view('plan.besides', ['besides' => $besides])->render();
        });
    }

    /** How sure the numbers are: drawn again and again, so it comes after everything else. */
    public function ranges(): HowSure
    {
        return new HowSure($this->circuit, $this->drawn(), $this->units, $this->vehicle->circuit->asks_for);
    }

    /** The number of the plan with how sure it is. */
    public function level(): Level
    {
        return Cache::remember(
            "level.{$this->key}",
            self::KEPT_S,
            fn (): Level => Outcome::levelOf(
                $this->circuit,
                $this->nearest(),
                $this->units,
                $this->drawn(),
            ),
        );
    }

    private function drawn(): Ranges
    {
        return Cache::remember(
            "ranges.{$this->key}",
            self::KEPT_S,
            fn (): Ranges => Ranges::of($this->circuit, $this->nearest()),
        );
    }

    /** What would free the air it leaves. */
    public function freeing(): Freeing
    {
        $way = Cache::remember("air.{$this->key}", self::KEPT_S, function (): AirsWay {
            $on = $this->groundwork();

            return AirsWay::of($this->circuit, $this->nearest(), $this->fills);
        });

        return new Freeing($this->circuit, $way, $this->units);
    }

    /** @return list<DrainWorth> of a circuit that is full to the brim */
    public static function worth(Vehicle $vehicle, Circuit $circuit, Choices $choices): array
    {
        $by = [$choices->opened, $choices->wantsAllOut(), $choices->noseLiftMm];
        $key = 'worth.'.$vehicle->circuit_id.'.'.sha1((string) json_encode($by));

        return Cache::remember($key, self::WORTH_KEPT_S, fn () => DrainWorth::of($circuit, ...$by));
    }

    private function groundwork(): Groundwork
    {
        return $this->groundwork ??= $this->planner->groundwork($this->circuit, $this->choices, $this->fills);
    }

    private function nearest(): Plan
    {
        return $this->nearest ??= $this->planner->nearest($this->groundwork());
    }
}
