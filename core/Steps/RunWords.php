<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Heat\StopReason;
use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\DangerCode;
use Aqbel\Core\Judged\EngineRuns;
use Aqbel\Core\Judged\HotProofs;
use Aqbel\Core\Judged\HotRun;
use Aqbel\Core\Judged\MissingProof;
use Aqbel\Core\Judged\ProofCode;
use Aqbel\Core\Judged\RunDanger;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Judged\TopUpSeries;
use Aqbel\Core\Judged\WarmLevel;
use Aqbel\Core\Judged\WarmLevelCode;
use Aqbel\Core\Observed\Bubbles;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Listed;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;

/** What a judged run is called, and why, in the reader's units. */
final class RunWords
{
    /** The coolant as last read, against the temperature at which the engine is shut off. */
    public static function coolantAgainst(Situation $at, StopLimit $limit): Figure
    {
        $read = $at->latest(HotReading::class)?->coolantC;

        return new Figure(
            'Coolant',
            $read,
            Dimension::Temperature,
            Origin::Measured,
            $limit->limit->degC(),
            'shut down',
        );
    }

    public static function danger(Situation $at, RunDanger $danger, bool $running): Verdict
    {
        [$title, $reason] = match ($danger->code) {
            DangerCode::Sign => [
                'Shut off now',
                "{$danger->sign()->label()} ends the run"
                .($danger->hottestC !== null && $danger->hottestC >= $danger->limit->limit->degC()
                    ? ", and {$at->degrees($danger->hottestC)} is past its limit"
                    : '')
                .'. Let it cool, then look.',
            ],
            DangerCode::Limit => [
                'Shut off now',
                "{$at->degrees((float) $danger->hottestC)} has reached the limit of "
                ."{$at->degrees($danger->limit->limit->degC())}: {$danger->limit->because->label()}. It boils at "
                ."{$at->degrees($danger->limit->boiling->degC())}.",
            ],
            DangerCode::SensorInAir => [
                'Shut off now',
                $danger->farC === null
                    ? 'The needle is low while the far side is hot: the sensor sits in air, or the gauge is dead, '
                        .'and nobody knows how hot the head is.'
                    : "The live reading is far below the {$at->degrees($danger->farC)} at the far side: "
                        .'the sensor sits in air, and nobody knows how hot the head is.',
            ],
            DangerCode::ThermostatShut => [
                'Thermostat shut',
                'Hot before it and cold behind it: an air pocket at the thermostat, or '
                .'fitted the wrong way round. Shut off, cool, top up.',
            ],
            DangerCode::HeaterCold => [
                'Heater cold',
                'Air in the heater core, or the level is low. Shut off, cool, top up; then higher '
                .'idle when it is safe.',
            ],
            DangerCode::NeedleHigh => [
                'Shut off now',
                'The needle stands above the middle, and without a live reading nobody knows how '
                .'hot it is. Shut off, let it cool, look at the level.',
            ],
            DangerCode::CoolantLost => [
                'Shut off now',
                'Coolant is lost while the engine runs, and the head is the first to be dry. '
                .'Let it cool, find where, bring the level back.',
            ],
        };

        return $running
            ? Verdict::stop($danger->code(), $title, $reason)
            : Verdict::stop(
                $danger->code(),
                'Stopped',
                "{$reason} This run proves nothing any more: cool it down, look for the cause, then run it again.",
            );
    }

    public static function watch(Situation $at, HotRun $run): Verdict
    {
        $left = max(1, (int) ceil(($run->heater->until() - $at->now) / 60));
        $what = $run->heater->mayBeRevved
            ? 'Blower low, 2,000 rpm'
            : 'Blower low, throttle blips; it is too near its limit for more';

        return Verdict::wait(
            'heater_watch',
            'Heater still cold',
            "A bubble in the core. {$what}, {$left} min at the most, eyes on the "
                .'temperature: read the outlet again. If it climbs meanwhile, or stays cold, shut off.',
        );
    }

    /** A machine that stands where it works has nothing that cools a cabin. */
    public static function heaterFull(Situation $at): string
    {
        return 'Heater on maximum'.($at->facts()->stationary ? '' : ', A/C off');
    }

    public static function level(Situation $at, WarmLevel $level): Verdict
    {
        $took = $at->amount($level->tookMl);
        $left = $level->series->verdict === TopUpVerdict::Air && $level->series->shrinks
            ? TopUpSeries::stillToComeMl($at, $level->series)
            : 0.0;
        $toCome = $left > 0.0 ? ", about {$at->amount($left)} still to come" : '';

        return match (true) {
            $level->code === WarmLevelCode::NotLooked => Verdict::wait(
                $level->code(),
                'Look at the level',
                'What goes in now tells whether this was the last run. Rag and glasses.',
            ),
            $level->code === WarmLevelCode::CappedEarly && ! $level->lookedAt => Verdict::wait(
                $level->code(),
                'Capped too early',
                'Nobody looked at the level before the cap went on: it stays shut until it is cold. '
                    .'The cold level tells the rest.',
            ),
            $level->code === WarmLevelCode::CappedEarly => Verdict::wait(
                $level->code(),
                'Capped too early',
                "It took {$took}{$toCome}, and the cap is tight: it stays shut until it is cold, and runs once more.",
            ),
            $level->code === WarmLevelCode::NotAir => Verdict::stop(
                $level->code(),
                'Not air',
                GoesOut::why($at, $level->tookMl, $level->series, $level->gone)
                    .' No warm-up cures that. Finish this step: the search for the leak comes next, '
                    .'with a test for combustion gas.',
            ),
            $level->tookNothing($at) => Verdict::wait(
                $level->code(),
                'Once more',
                "It took {$took}, no more than reading error; this way ends when two runs in a row do. "
                    .'The cap stays loose; finish this step, the next run follows.',
            ),
            default => Verdict::wait(
                $level->code(),
                'Another warm-up',
                "It took {$took}{$toCome}. The cap stays loose; finish this step, the next run follows.",
            ),
        };
    }

    /** What was shown, what could not be here, and what nobody saw. */
    public static function proven(Situation $at, HotProofs $proofs, bool $fanCanProve): string
    {
        $fanOn = $at->facts()->fanOnC;
        $hottest = $proofs->fan->hottestC;
        $shown = array_filter([
            HotProofs::hasThermostat($at->circuit()) ? 'thermostat' : 'circulation',
            $at->facts()->outlets === [] ? null : 'heater',
            ! $proofs->fanCounts ? null : ($proofs->fan->wasOnlyHeard() ? 'fan as it was heard' : 'fan'),
            $proofs->bubbles->seen === Bubbles::None ? 'bubbles' : null,
        ]);
        $said = ucfirst(Listed::of($shown)).(count($shown) === 1 ? ' says so.' : ' all say the same.');
        $without = $fanCanProve && ! $proofs->fanCounts && $fanOn !== null
            ? " The fan does not come on here: it comes at {$at->degrees($fanOn)}"
                .($hottest === null ? '.' : ", the hottest was {$at->degrees($hottest)}.")
            : '';

        return $said.$without
            .match (true) {
                $proofs->bubbles->seen === Bubbles::None => '',
                $proofs->bubbles->cameWhenCapped => ' Bubbles still came when the cap went on: the cold level tells.',
                default => ' Bubbles nobody saw: the cold level tells.',
            }
            .($proofs->airPassed === null ? '' : ' Air went through on the way.')
            .($proofs->byHand ? ' '.self::byHand($at).', which is less than a reading: look once more soon.' : '');
    }

    /** What is still to be shown, as a sentence. */
    public static function missing(Situation $at, HotProofs $proofs): string
    {
        return 'Still to show: '
            .implode('; ', array_map(fn (MissingProof $proof) => self::one($at, $proof), $proofs->missing))
            .'.';
    }

    /** Why no run shows the far side as the neck stands, and what would. */
    private static function endsTooEarly(Situation $at, MissingProof $proof): string
    {
        if ($proof->endsAtC === null) {
            return '';
        }
        $opens = $at->degrees((float) $proof->fromC);
        $wouldHelp = match (true) {
            ! $proof->tightToo => ' Cap it tight for the next run',
            StopLimitAtNeck::of($at, Neck::Sealed)->because !== StopReason::Boiling => ' Its own limit, or its fan, '
                .'stands below the thermostat: look at the figures of the circuit',
            $at->facts()->capKpa === null => ' The pressure on its cap would let it get hotter: read it off',
            default => ' A stronger mixture, or a lower place, would',
        };

        return " – which no run shows as the neck stands: it is shut off at {$at->degrees($proof->endsAtC)}, and the "
            ."thermostat only starts to open at {$opens}."
            .$wouldHelp;
    }

    private static function one(Situation $at, MissingProof $proof): string
    {
        $cycles = Plan::of($at)->rules()->fanCycles;

        return match ($proof->code) {
            ProofCode::Circulation => "that it goes round ({$at->facts()->thermostatFarSide} as warm as the coolant)",
            ProofCode::Thermostat => "heat on the far side of the thermostat ({$at->facts()->thermostatFarSide})"
                .self::endsTooEarly($at, $proof).self::unread($at, $proof),
            ProofCode::Outlet => "the {$proof->outlet} outlet really hot"
                .($proof->fromC === null ? '' : ", {$at->degrees($proof->fromC)} or more")
                .($proof->outsideC === null ? '' : " with {$at->degrees($proof->outsideC)} outside")
                .self::unread($at, $proof),
            ProofCode::Fan => "the fan on and off {$cycles} times "
                ."(seen {$proof->times}, hot and for as long as a fan runs)",
            ProofCode::Bubbles => 'a minute without bubbles',
            ProofCode::RunOn => 'anything from a run that has lasted long enough: it has only just started',
            ProofCode::Again => "{$at->degrees((float) $proof->fromC)} a second time: no engine heats that fast, "
                .'so it was a slip, or hot coolant has just reached the sensor',
        };
    }

    /** What nobody read is no fault of the machine: it is read in the next run. */
    private static function unread(Situation $at, MissingProof $proof): string
    {
        return $proof->wasRead || EngineRuns::at($at) ? '' : ' (nobody read it)';
    }

    private static function byHand(Situation $at): string
    {
        $needle = array_filter($at->observed(FeltReading::class), fn (FeltReading $felt) => $felt->needle !== null);

        return $needle === [] ? 'By hand' : 'By needle and hand';
    }
}
