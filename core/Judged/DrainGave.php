<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\CapOff;
use Aqbel\Core\Observed\DrainOpened;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Observed\LeftShut;

/** What came out at a drain point, or at several that ran together, against what should have come. */
final readonly class DrainGave implements Judgement
{
    /** Below this share of the prediction something did not drain (common practice, no source). */
    private const SHORT = 0.7;

    /** Above this share of it more came than stands above the point (common practice, no source). */
    private const MORE = 1.3;

    /** What clings to a circuit that has run out, mL: whether it came tells nothing (common practice, no source). */
    public const HARDLY_ML = 50.0;

    /**
     * @param  float  $outMl  of all that ran together
     * @param  float  $expectedMl  of the same
     * @param  list<Step>  $together  the point itself, and those it ran with
     * @param  list<Observation>  $restsOn
     * @param  ?Step  $odd  whose number cannot be, though the sum is right
     * @param  float  $boundMl  the least that runs out there alone, or all that stands above it
     */
    private function __construct(
        public DrainGaveCode $code,
        public float $outMl,
        public float $expectedMl,
        public array $together,
        private array $restsOn,
        public ?Step $odd = null,
        public float $boundMl = 0.0,
    ) {
    }

    public static function of(Situation $at): ?self
    {
        return $at->judged(self::class, fn (): ?self => self::judge($at));
    }

    private static function judge(Situation $at): ?self
    {
        $ran = $at->observed(DrainRan::class);
        if ($ran === []) {
            $shut = $at->latest(LeftShut::class);

            return $shut !== null && DrainsInTurn::isLeftShut($at->job, $at->step)
                ? new self(DrainGaveCode::LeftShut, 0.0, 0.0, [$at->step], [$shut])
                : null;
        }
        $off = $at->latest(CapOff::class);
        $of = [$at->step];
        $expected = DrainsInTurn::expectedMl($at->job);
        $code = match (true) {
            $off !== null && $off->isAfter($ran[count($ran) - 1]) => DrainGaveCode::RunsOn,
            DrainsInTurn::waitsForOthers($at->job, $at->step) => DrainGaveCode::WithOthers,
            default => null,
        };
        if ($code !== null) {
            return new self($code, DrainRan::sumMl($ran), $expected[$at->step->id], $of, $ran);
        }
        $of = DrainsInTurn::together($at->job, $at->step);
        [$sum, $should, $plusMinus, $told] = [0.0, 0.0, 0.0, []];
        foreach ($of as $step) {
            $sum += DrainsInTurn::outMl($at->job, $step);
            $should += $expected[$step->id];
            $plusMinus = hypot($plusMinus, self::plusMinusMl($at, $step));
            array_push($told, ...DrainsInTurn::ran($at->job, $step));
        }
        // One of several that stays full is a smaller share of their sum.
        $share = $should / count($of);
        if ($sum < $should - max(self::HARDLY_ML, (1.0 - self::SHORT) * $share) - $plusMinus) {
            return new self(DrainGaveCode::Short, $sum, $should, $of, $told);
        }
        if ($sum > $should + (self::MORE - 1.0) * $share + $plusMinus) {
            return new self(DrainGaveCode::More, $sum, $should, $of, $told);
        }
        if ($sum <= 0.0 && $should > self::HARDLY_ML) {
            return new self(DrainGaveCode::NothingCame, $sum, $should, $of, $told);
        }
        $odd = self::outOfBounds($at, $of, $should);

        return $odd === null
            ? new self(DrainGaveCode::Drained, $sum, $should, $of, $told)
            : new self(DrainGaveCode::MixedUp, $sum, $should, $of, $told, ...$odd);
    }

    /** What should have come and did not, mL; null where enough did. */
    public function shortMl(): ?float
    {
        return $this->code === DrainGaveCode::Short ? $this->expectedMl - $this->outMl : null;
    }

    /** What a drain that has run out differs by from its prediction, either way, mL. */
    public static function agreesWithinMl(float $expectedMl): float
    {
        return (1.0 - self::SHORT) * $expectedMl;
    }

    /** Whether it is the one of them that was read last: what is asked of all is asked there. */
    public function isAskedAt(Situation $at): bool
    {
        $last = $this->restsOn[0] ?? null;
        foreach ($this->restsOn as $told) {
            $last = $last !== null && $told->told()->isAfter($last->told()) ? $told : $last;
        }

        return $last?->told()->step === $at->step->id;
    }

    /**
     * The first of several that together gave what they should, and of which it cannot be by itself.
     *
     * @param  list<Step>  $of
     * @return ?array{Step, float} with the least that only it lets out, or all that stands above it, mL
     */
    private static function outOfBounds(Situation $at, array $of, float $shouldMl): ?array
    {
        if (array_filter($of, fn (Step $step) => DrainsInTurn::isInAnothers($at->job, $step)) !== []) {
            return null;
        }
        $bounds = [];
        foreach (count($of) < 2 ? [] : $of as $step) {
            $bounds[$step->id] = DrainsInTurn::boundsMl($at->job, $step);
        }
        // Where less was inside than these let out of a full circuit, each has its share of it.
        $there = min(1.0, $shouldMl / max(1.0, array_sum(array_column($bounds, 0))));
        foreach ($bounds === [] ? [] : $of as $step) {
            [$out, $plusMinus] = [DrainsInTurn::outMl($at->job, $step), self::plusMinusMl($at, $step)];
            [$least, $most] = $bounds[$step->id];
            if ($out > self::MORE * $most + $plusMinus) {
                return [$step, $most];
            }
            if ($out < self::SHORT * $there * $least - $plusMinus) {
                return [$step, $there * $least];
            }
        }

        return null;
    }

    /** As well as the last reading of a point was read, mL. */
    private static function plusMinusMl(Situation $at, Step $step): float
    {
        $ran = DrainsInTurn::ran($at->job, $step);

        return $ran === [] ? 0.0 : $ran[count($ran) - 1]->read->toldWithinMl($at);
    }

    /** Whether the cap is on, and holds it back. */
    public static function capIsOn(Situation $at): bool
    {
        return $at->latest(DrainOpened::class)?->capOn === true && $at->latest(CapOff::class) === null;
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return $this->code === DrainGaveCode::Drained ? Outcome::Passes : Outcome::Waits;
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return $this->restsOn;
    }
}
