<?php

declare(strict_types=1);

namespace Tests\Core\Visits;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\Alarm;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Visits\DaysAfter;
use Aqbel\Core\Visits\DaysAfterCode;
use Aqbel\Core\Visits\LevelFound;
use Aqbel\Core\Visits\Visit;
use Aqbel\Core\Visits\VisitForm;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Journeys\Journey;

/**
 * The days after held against a simulator of its own: air that shrinks
 * from look to look, a leak by hours, weather, reading errors.
 */
final class DaysAfterTest extends TestCase
{
    private const RUNS = 200;

    /** Syringe of 10 mL marks, 95 %. */
    private const PLUS_MINUS = 5.7;

    private static ?JobState $signed = null;

    public function test_pure_air_is_hardly_ever_called_a_leak_and_closes(): void
    {
        [$leaks, $closed] = [0, 0];
        for ($seed = 1; $seed <= self::RUNS; $seed++) {
            $codes = $this->told(
                $seed,
                airMl: 40.0 + (160.0 * ($seed % 5)) / 4.0,
                ratio: 0.3 + 0.04 * ($seed % 8),
                leakPerHour: 0.0,
            );
            $leaks += (int) (array_filter($codes, fn (DaysAfterCode $code) => $code->isRed()) !== []);
            $closed += (int) in_array(DaysAfterCode::Closed, $codes, true);
        }
        self::assertLessThanOrEqual(0.05, $leaks / self::RUNS);
        self::assertGreaterThanOrEqual(0.9, $closed / self::RUNS);
    }

    public function test_a_leak_is_named_by_the_fifth_look(): void
    {
        $named = 0;
        for ($seed = 1; $seed <= self::RUNS; $seed++) {
            // Three times what a level tells, in three days.
            $codes = $this->told(
                $seed,
                airMl: 0.0,
                ratio: 0.5,
                leakPerHour: (3.0 * 0.004 * self::signed()->circuit->capacityMl()) / 72.0,
            );
            $named += (int) (array_filter($codes, fn (DaysAfterCode $code) => $code->isRed()) !== []);
        }
        self::assertGreaterThanOrEqual(0.9, $named / self::RUNS);
    }

    public function test_a_cold_morning_is_no_leak_and_a_warm_one_hides_none_for_long(): void
    {
        $leaks = 0;
        for ($seed = 1; $seed <= self::RUNS; $seed++) {
            $codes = $this->told($seed, airMl: 0.0, ratio: 0.5, leakPerHour: 0.0, weather: 18.0);
            $leaks += (int) (array_filter($codes, fn (DaysAfterCode $code) => $code->isRed()) !== []);
        }
        self::assertLessThanOrEqual(0.05, $leaks / self::RUNS);
    }

    /** All series of three looks: what is said agrees with what was taken last. */
    public function test_words_and_numbers_agree(): void
    {
        $said = [];
        foreach (range(0, 124) as $series) {
            $took = array_map(
                fn (int $digit): float => [0.0, 40.0, 80.0, 150.0, 300.0][$digit],
                [$series % 5, intdiv($series, 5) % 5, intdiv($series, 25)],
            );
            $visits = array_map(
                fn (int $i): Visit => new Visit(
                    self::last() + ($i + 1) * 72 * 3600,
                    LevelFound::AtMark,
                    $took[$i],
                    self::PLUS_MINUS,
                    20.0,
                ),
                [0, 1, 2],
            );
            $says = DaysAfter::of(self::signed(), $visits);
            $told = implode(' ', $took)." is {$says?->code->value}";
            $said[(string) $says?->code->value] = true;
            match ($says?->code) {
                DaysAfterCode::StillToCome => self::assertTrue(
                    $took[2] > 0.0 && $took[2] < max($took) && $says->stillToComeMl > 0.0,
                    $told,
                ),
                DaysAfterCode::Closed => self::assertLessThanOrEqual(40.0, $took[2], $told),
                DaysAfterCode::Both => self::assertLessThan(array_sum($took) / 9.0, $says->leakMlPerDay, $told),
                DaysAfterCode::Leak => self::assertGreaterThan(0.0, $says->leakMlPerDay, $told),
                default => self::addToAssertionCount(1),
            };
        }
        self::assertArrayHasKey('still_to_come', $said);
        self::assertArrayHasKey('leak', $said);
        self::assertArrayHasKey('closed', $said);
    }

    public function test_what_is_seen_comes_before_what_is_reckoned(): void
    {
        $at = self::last() + 72 * 3600;
        $code = fn (Visit ...$visits): ?DaysAfterCode => DaysAfter::of(self::signed(), array_values($visits))?->code;
        self::assertNull($code());
        self::assertSame(DaysAfterCode::NotSeen, $code(new Visit($at, LevelFound::NotSeen, 900.0, self::PLUS_MINUS)));
        self::assertSame(
            DaysAfterCode::ComplaintAgain,
            $code(new Visit($at, LevelFound::AtMark, complaintAgain: true)),
        );
        // The first danger stands, whatever calmer look follows.
        $calm = new Visit($at + 3 * 86400, LevelFound::AtMark, complaintAgain: false);
        foreach (
            [
                new Visit($at, LevelFound::NotSeen, 900.0, self::PLUS_MINUS),
                new Visit($at, LevelFound::AtMark, complaintAgain: true),
                new Visit($at, LevelFound::Below, 2000.0, self::PLUS_MINUS),
            ] as $red
        ) {
            self::assertSame($code($red), $code($red, $calm));
            self::assertTrue($code($red)?->isRed());
        }
        self::assertSame(
            DaysAfterCode::LeftBelow,
            $code(new Visit($at, LevelFound::Below, 0.0)),
            'left below its mark it closes nothing',
        );
        self::assertSame(
            DaysAfterCode::LeftBelow,
            $code(new Visit($at, LevelFound::AtMark), new Visit($at + 86400, LevelFound::Below, 0.0)),
        );
        self::assertSame(
            DaysAfterCode::TooFew,
            $code(new Visit($at, LevelFound::AtMark, told: true)),
            'what is told closes nothing',
        );
        self::assertSame(
            DaysAfterCode::Rises,
            $code(new Visit($at, LevelFound::Above, celsius: 20.0)),
            'no coolant grows cold',
        );
        self::assertSame(
            DaysAfterCode::Rises,
            $code(new Visit($at, LevelFound::Above)),
            'nor where nobody read how warm it was',
        );
        self::assertNotSame(
            DaysAfterCode::Rises,
            $code(new Visit($at, LevelFound::Above, celsius: 38.0)),
            'warm, it has grown',
        );
        $left = new Visit($at, LevelFound::Below, 0.0, celsius: 20.0);
        self::assertSame(
            DaysAfterCode::Rises,
            $code($left, new Visit($at + 86400, LevelFound::AtMark, celsius: 20.0)),
            'left below its mark it does not come back to it by itself',
        );
        self::assertNotSame(
            DaysAfterCode::Rises,
            $code($left, new Visit($at + 86400, LevelFound::AtMark, celsius: 38.0)),
            'but for its warmth',
        );
        self::assertSame(DaysAfterCode::Closed, $code(new Visit($at, LevelFound::AtMark, freezeC: -36.0)));
        self::assertSame(DaysAfterCode::TooWeak, $code(new Visit($at, LevelFound::AtMark, freezeC: -20.0)));
        self::assertSame(
            DaysAfterCode::Closed,
            $code(
                new Visit($at, LevelFound::AtMark, freezeC: -20.0),
                new Visit($at + 86400, LevelFound::AtMark, freezeC: -36.0),
            ),
            'read once more',
        );
        // Far more than the sums can have left as air.
        $says = DaysAfter::of(self::signed(), [
            new Visit($at, LevelFound::Below, 1500.0, self::PLUS_MINUS),
            new Visit($at + 86400, LevelFound::Below, 700.0, self::PLUS_MINUS),
        ]);
        self::assertSame(DaysAfterCode::Leak, $says?->code);
        self::assertSame(0.0, $says->stillToComeMl);
    }

    public function test_an_alarm_on_the_road_stands_and_what_nobody_looked_at_says_nothing_of_a_level(): void
    {
        $at = fn (int $day): int => self::last() + $day * 86400;
        $code = fn (Visit ...$visits): ?DaysAfterCode => DaysAfter::of(self::signed(), array_values($visits))?->code;
        $calm = new Visit($at(9), LevelFound::AtMark, celsius: 20.0);
        foreach ([Alarm::Hot, Alarm::Other] as $alarm) {
            $told = new Visit($at(3), LevelFound::NotLooked, told: true, alarm: $alarm);
            self::assertSame(DaysAfterCode::Alarmed, $code($told));
            self::assertSame(DaysAfterCode::Alarmed, $code($calm, $told), 'also after a quiet look');
            self::assertSame(DaysAfterCode::Alarmed, $code($told, $calm), 'and whatever calmer look follows');
            self::assertTrue($code($told)?->isRed());
        }
        $lamp = new Visit($at(3), LevelFound::AtMark, celsius: 20.0, alarm: Alarm::Level);
        self::assertSame(DaysAfterCode::TooFew, $code($lamp), 'a pocket at the sensor, or a level that moves');
        self::assertSame(DaysAfterCode::Closed, $code($lamp, $calm));

        $rang = new Visit($at(12), LevelFound::NotLooked, complaintAgain: false, told: true);
        self::assertSame(DaysAfterCode::TooFew, $code($rang));
        self::assertSame(DaysAfterCode::Closed, $code($calm, $rang), 'it takes nothing back that was seen');
        self::assertSame(1, DaysAfter::of(self::signed(), [$calm, $rang])?->looks);
        $toldOnly = new Visit($at(3), LevelFound::AtMark, told: true);
        self::assertSame(DaysAfterCode::TooFew, $code($toldOnly, new Visit($at(4), LevelFound::NotLooked)));
        self::assertSame(
            DaysAfterCode::ComplaintAgain,
            $code($calm, new Visit($at(12), LevelFound::NotLooked, complaintAgain: true, told: true)),
        );
    }

    /** @param  array<string, string>  $raw */
    #[TestWith([['alarm' => 'hot'], null])]
    #[TestWith([['alarm' => 'other', 'celsius' => '95', 'volume' => 'a lot'], null])]
    #[TestWith([['level' => 'not_seen'], null])]
    #[TestWith([['level' => 'not_seen', 'celsius' => '95'], null])]
    #[TestWith([['level' => 'not_looked', 'complaint' => 'again'], null])]
    #[TestWith([['level' => 'not_looked', 'note' => 'rang up: all well'], null])]
    #[TestWith([['level' => 'not_looked', 'odometer' => '128300 km'], null])]
    #[TestWith([['level' => 'not_looked', 'alarm' => 'level'], null])]
    #[TestWith([['level' => 'not_looked'], 'level'])]
    #[TestWith([['level' => 'not_looked', 'volume' => '0.2 L', 'note' => 'rang up'], 'level'])]
    #[TestWith([['level' => 'at_mark', 'celsius' => '95'], 'celsius'])]
    #[TestWith([['alarm' => 'level'], 'level'])]
    #[TestWith([['level' => 'below'], 'volume'])]
    public function test_danger_is_told_alone_and_what_says_nothing_is_no_visit(array $raw, ?string $refused): void
    {
        $field = null;
        $vessels = Plan::of(self::signed())->rules()->vessels;
        try {
            $raw += ['vessel' => 'syringe'];
            $read = VisitForm::read(self::signed()->circuit, $vessels, $raw, UnitSystem::Metric);
            self::assertSame(
                LevelFound::tryFrom($raw['level'] ?? '') ?? LevelFound::NotLooked,
                Visit::of(0, $read->values, $vessels)->level,
                'what was not said is not taken for a level at its mark',
            );
        } catch (InvalidField|InvalidFields $refusal) {
            $field = $refusal instanceof InvalidField ? $refusal->field : $refusal->problems[0]->field;
        }
        self::assertSame($refused, $field);
    }

    public function test_a_level_stands_still_only_where_it_had_the_time_to_fall(): void
    {
        $hour = fn (float $h): int => self::last() + (int) ($h * 3600);
        $code = fn (Visit ...$visits): ?DaysAfterCode => DaysAfter::of(self::signed(), array_values($visits))?->code;
        $quiet = fn (float $h): Visit => new Visit($hour($h), LevelFound::AtMark, celsius: 20.0);
        self::assertSame(DaysAfterCode::TooFew, $code($quiet(0.1)), 'five minutes after the signature');
        self::assertSame(DaysAfterCode::TooFew, $code($quiet(7.9)));
        self::assertSame(DaysAfterCode::Closed, $code($quiet(8.0)), 'it was driven, and is cold again');
        $took = new Visit($hour(72), LevelFound::Below, 80.0, self::PLUS_MINUS, 20.0);
        self::assertSame(DaysAfterCode::TooFew, $code($took, $quiet(72.1)), 'five minutes after it was topped up');
        self::assertSame(DaysAfterCode::Closed, $code($took, $quiet(80.0)));
    }

    public function test_who_saw_it_too_high_looks_twice(): void
    {
        $hour = fn (float $h): int => self::last() + (int) ($h * 3600);
        $code = fn (Visit ...$visits): ?DaysAfterCode => DaysAfter::of(self::signed(), array_values($visits))?->code;
        $quiet = fn (float $h, float $celsius = 20.0): Visit => new Visit($hour($h), LevelFound::AtMark, celsius: $celsius);
        $high = new Visit($hour(48), LevelFound::Above, celsius: 20.0);
        self::assertSame(DaysAfterCode::TooFew, $code($high, $quiet(72)), 'where it went nobody knows');
        self::assertSame(DaysAfterCode::Closed, $code($high, $quiet(72), $quiet(96)));
        self::assertSame(DaysAfterCode::Rises, $code($quiet(48, -10.0)), 'it has shrunk by 100 mL, and misses none');
        self::assertNotSame(DaysAfterCode::Rises, $code($quiet(48, 14.0)));
    }

    /**
     * What was said after each of up to five looks; nobody looks again after red or closed.
     *
     * @return list<DaysAfterCode>
     */
    private function told(int $seed, float $airMl, float $ratio, float $leakPerHour, float $weather = 0.0): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $error = fn (float $plusMinus): float => ($plusMinus / 1.96)
            * sqrt(-2.0 * log(max(1.0e-9, $chance->getInt(1, 999999) / 1.0e6)))
            * cos((2.0 * M_PI * $chance->getInt(0, 999999)) / 1.0e6);
        $job = self::signed();
        $content = $job->ledger()->contentMl;
        $mixture = new Mixture($job->circuit->facts->base, $job->ledger()->fraction() ?? 0.5);
        $density = fn (float $celsius): float => $mixture->density(Temperature::celsius($celsius));
        [$at, $before, $air, $visits, $codes] = [self::last(), 20.0, $airMl, [], []];
        for ($look = 0; $look < 5; $look++) {
            $hours = $chance->getInt(40, 110);
            $at += $hours * 3600;
            $celsius = 20.0 - $weather + ($weather * $chance->getInt(0, 200)) / 100.0;
            $gone = $air * (1.0 - $ratio)
                + $leakPerHour * $hours
                + $content * (1.0 - $density($before) / $density($celsius))
                + $error(0.004 * $job->circuit->capacityMl());
            $air *= $ratio;
            $before = $celsius;
            $took = max(0.0, round(($gone + $error(self::PLUS_MINUS)) / 10.0) * 10.0);
            // What a mark does not show nobody tops up.
            $sees = $gone > 0.5 * 0.004 * $job->circuit->capacityMl();
            $visits[] = new Visit(
                $at,
                $sees ? LevelFound::Below : LevelFound::AtMark,
                $sees ? $took : null,
                $sees ? self::PLUS_MINUS : 0.0,
                round($celsius),
            );
            $codes[] = DaysAfter::of($job, $visits)->code ?? DaysAfterCode::TooFew;
            if ($codes[$look]->isRed() || $codes[$look] === DaysAfterCode::Closed) {
                break;
            }
        }

        return $codes;
    }

    private static function last(): int
    {
        return max(array_map(fn ($entry) => $entry->at, self::signed()->journal->lines));
    }

    private static function signed(): JobState
    {
        if (self::$signed === null) {
            $journey = new Journey([
                'about' => 'an ordinary job',
                'circuit' => 'taxi-engine',
                'choices' => ['school' => 'gravity', 'drains' => ['radiator_cock']],
                'lines' => [['until' => 'sign_off'], ['do' => 'sign_off']],
            ]);
            $journey->play();
            self::$signed = $journey->state();
        }

        return self::$signed;
    }
}
