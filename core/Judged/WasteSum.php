<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\PouredBack;
use Aqbel\Core\Observed\WasteTaken;

/**
 * Where what went into the drum is not what came out of the circuit:
 * every litre is in one of the two, or on the floor.
 */
final readonly class WasteSum implements Judgement
{
    /** A drum has no marks: so far off is nothing, as a share and at the least in mL (common practice, no source). */
    private const DRUM_SHARE = 0.1;

    private const DRUM_ML = 500.0;

    /** @param  list<Observation>  $restsOn */
    private function __construct(
        public WasteSumCode $code,
        public float $takenMl,
        public float $caughtMl,
        private array $restsOn,
    ) {
    }

    /** Null while nothing was put there, and where both are the same. */
    public static function of(Situation $at): ?self
    {
        $told = $at->observed(WasteTaken::class);
        $taken = array_sum(array_map(fn (WasteTaken $some) => $some->ml, $told));
        $caught = self::caughtMl($at);
        $squares = array_sum(array_map(fn (Line $line) => $line->toldWithinMl() ** 2, self::caught($at)));
        $unsure = hypot(sqrt($squares), max(self::DRUM_ML, self::DRUM_SHARE * $caught));
        $code = match (true) {
            $taken > $caught + $unsure => WasteSumCode::Foreign,
            $taken < $caught - $unsure => WasteSumCode::Missing,
            default => null,
        };

        return $told === [] || $code === null ? null : new self($code, $taken, $caught, $told);
    }

    /** What came out and was caught, mL; what goes back in is no waste. */
    public static function caughtMl(Situation $at): float
    {
        $back = array_sum(array_map(fn (PouredBack $some) => $some->ml, $at->job->observedAnywhere(PouredBack::class)));

        return max(0.0, -array_sum(array_map(fn (Line $line) => $line->ml, self::caught($at))) - $back);
    }

    /** @return list<Line> */
    private static function caught(Situation $at): array
    {
        return array_values(
            array_filter(
                $at->job->ledger()->lines,
                fn (Line $line) => $line->ml < 0.0 && ! $line->fromBatch && ! $line->lost,
            ),
        );
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return Outcome::Waits;
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
