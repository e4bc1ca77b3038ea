<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\MixComesTo;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;

/** What a top-up is made with, and what the next one should be. */
final class TopUp
{
    /** By code; what is bought ready for use is half glycol (common practice, no source). */
    private const LIQUIDS = [
        ToppedUp::BATCH => 'What was mixed',
        'premix' => 'Premix 50 %',
        'concentrate' => 'Concentrate',
        'water' => 'Water',
    ];

    private const STRENGTHS = ['premix' => 0.5, 'concentrate' => 1.0, 'water' => 0.0];

    /** Off by less than this a top-up changes nothing worth saying. */
    private const OFF = 0.02;

    private const HARDLY_ML = 1.0;

    /** What hangs on bucket and jug. */
    private const NEXT_TO_NOTHING_ML = 50.0;

    /** What was mixed, as long as something of it is left; else what the plan pours, where that is ready for use. */
    public static function liquidField(Situation $at): Field
    {
        $likely = match (true) {
            Bucket::leftBeforeMl($at->job, null) > self::NEXT_TO_NOTHING_ML => ToppedUp::BATCH,
            Bucket::batch($at->job)->ml <= 0.0
                && abs(Plan::of($at)->choices->stockFraction - self::STRENGTHS['premix']) < self::OFF => 'premix',
            default => null,
        };
        $field = Field::choice(ToppedUp::LIQUID, 'With', self::liquids($at), $likely, self::next($at));

        return $likely === null ? $field : $field->optional();
    }

    /** The batch, where one was mixed, else whatever it is; without a word of the ledger, which is still half empty. */
    public static function jugField(Situation $at): Field
    {
        return Bucket::batch($at->job)->ml > 0.0
            ? Field::choice(ToppedUp::LIQUID, 'Of', self::liquids($at), ToppedUp::BATCH)->optional()
            : Field::choice(ToppedUp::LIQUID, 'Of', array_diff_key(self::LIQUIDS, [ToppedUp::BATCH => '']));
    }

    /** @return array<string, string> with what is ready for use by its name, where nothing was mixed of it */
    private static function liquids(Situation $at): array
    {
        $stock = Plan::of($at)->choices->stockFraction;
        $is = Bucket::batch($at->job)->fraction();

        return $is === null || $stock >= 1.0 || abs($is - $stock) > self::OFF
            ? self::LIQUIDS
            : [ToppedUp::BATCH => "The premix, {$at->say($is, Unit::Percent)}", 'premix' => 'Other premix, 50 %']
                    + self::LIQUIDS;
    }

    public static function line(
        Situation $at,
        Entry $entry,
        string $label,
        float $plusMinusMl,
        float $roughMl = 0.0,
    ): Line {
        $batch = ! isset(self::STRENGTHS[$entry->text(ToppedUp::LIQUID)]);

        return new Line(
            $label,
            $entry->number(VesselReading::VOLUME) ?? 0.0,
            $plusMinusMl,
            self::fraction($at, $entry),
            $batch ? Bucket::oldShare($at->job) : 0.0,
            $batch,
            roughMl: $roughMl,
        );
    }

    /** Glycol share of what was topped up with. */
    private static function fraction(Situation $at, Entry $entry): float
    {
        return self::STRENGTHS[$entry->text(ToppedUp::LIQUID)] ?? Bucket::fractionOf($at, $entry);
    }

    /** Where the circuit stands and what the next pour should be; empty while it is on target. */
    public static function next(Situation $at): string
    {
        $now = $at->job->ledger()->fraction();
        $wanted = MixComesTo::target($at->job);
        if ($now === null || abs($now - $wanted) <= self::OFF) {
            return '';
        }

        return "The ledger has {$at->say($now, Unit::Percent)}, {$at->say($wanted, Unit::Percent)} is wanted: "
            .'make the next top-up '
            .($now < $wanted ? 'concentrate.' : 'water.');
    }

    /** What is poured next where it is mixed inside, as a sentence; empty where it is mixed outside. */
    public static function ofTheTwo(Situation $at): string
    {
        $left = Bucket::stockToComeMl($at->job);

        return match (true) {
            ! Bucket::isInside($at->job) => '',
            $left > self::HARDLY_ML => "Concentrate first: {$at->litres($left)} of it still to come, then the water.",
            default => 'The concentrate is in: now the water.',
        };
    }
}
