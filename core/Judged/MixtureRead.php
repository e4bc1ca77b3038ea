<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\FreezePointRead;
use Aqbel\Core\Quantity\Temperature;

/** The mixture as a refractometer reads it, against the plan and against what the ledger has poured. */
final readonly class MixtureRead implements Judgement
{
    /** A refractometer in the shop reads to so much of glycol (common practice, no source). */
    public const PLUS_MINUS = 0.03;

    /**
     * @param  float  $fraction  glycol share it reads as; where the scale ends, the last it tells
     * @param  ?float  $ledger  glycol share by what was poured
     */
    private function __construct(
        public MixtureReadCode $code,
        public float $fraction,
        public float $target,
        public ?float $ledger,
        private FreezePointRead $read,
    ) {
    }

    public static function of(Situation $at): ?self
    {
        $read = $at->latest(FreezePointRead::class);
        if ($read === null) {
            return null;
        }
        $mixture = Mixture::freezingAt($at->facts()->base, Temperature::celsius($read->celsius));
        $target = MixComesTo::target($at->job);
        $ledger = $at->job->ledger();
        $poured = $ledger->fraction();
        $beyond = $read->celsius < $mixture->freezePoint()->degC() - 0.5;
        $apart = $poured === null ? 0.0 : abs($mixture->volumeFraction - $poured);
        $code = match (true) {
            $poured !== null && $apart > self::PLUS_MINUS + max(self::PLUS_MINUS, $ledger->glycolPlusMinus) => MixtureReadCode::Contradicts,
            $beyond => MixtureReadCode::Beyond,
            abs($mixture->volumeFraction - $target) <= self::PLUS_MINUS => MixtureReadCode::AsPlanned,
            default => MixtureReadCode::OffPlan,
        };

        return new self($code, $mixture->volumeFraction, $target, $poured, $read);
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            MixtureReadCode::AsPlanned => Outcome::Passes,
            MixtureReadCode::Contradicts => Outcome::Stops,
            default => Outcome::Waits,
        };
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return [$this->read];
    }
}
