<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\Heat\TopUp;
use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Judged\Accounted;
use Aqbel\Core\Judged\AccountedCode;
use Aqbel\Core\Judged\Gone;
use Aqbel\Core\Judged\Sums;
use Aqbel\Core\Judged\WrongSum;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Complaint;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What was topped up since the fill and cannot be inside: a leak, or a number that is wrong. */
final class GoneTest extends TestCase
{
    /** @return array<string, array{float, list<float>, ?bool, ?WrongSum}> over the mark by the fill's sums, topped up */
    public static function jobs(): array
    {
        return [
            'no more than the sums may be off' => [0.0, [150.0, 80.0], null, null],
            'more than can have been missing' => [0.0, [500.0, 450.0], true, null],
            'it was missing' => [-900.0, [500.0, 450.0], null, null],
            'more than was missing' => [-400.0, [500.0, 400.0, 400.0], true, null],
            'the fill was over by its own numbers' => [200.0, [200.0], null, null],
            'and took much more since' => [200.0, [500.0, 400.0], true, null],
            'the fill cannot be' => [1500.0, [500.0, 500.0], null, WrongSum::MoreThanFits],
            'a tenfold slip' => [0.0, [2000.0], false, WrongSum::MoreThanFits],
        ];
    }

    /** @param  list<float>  $topUps */
    #[DataProvider('jobs')]
    public function test_it_is_what_went_in_beyond_what_can_have_been_missing(
        float $over,
        array $topUps,
        ?bool $isBelievable,
        ?WrongSum $wrong,
    ): void {
        $job = self::job($over, $topUps);
        self::assertSame($isBelievable, Gone::of($job->state())?->isBelievable);
        self::assertSame($wrong, Sums::wrong($job->at('cold_level:1'))?->code, 'what has gone is no wrong number');
    }

    public function test_a_complaint_may_be_air_that_was_in_it_from_the_beginning(): void
    {
        self::assertNull(Gone::of(self::job(0.0, [500.0, 450.0], ['complaint' => Complaint::Gurgling])->state()));
        self::assertNotNull(Gone::of(self::job(0.0, array_fill(0, 14, 500.0), ['complaint' => Complaint::Gurgling])->state()));
    }

    public function test_level_after_level_that_takes_less_is_air_and_a_number_is_wrong(): void
    {
        $job = self::job(200.0, [700.0, 280.0, 110.0])->state();
        self::assertNotNull(Gone::of($job));
        $series = fn (float ...$ml): TopUps => new TopUps(
            array_map(fn (float $one, int $n) => new TopUp($one, 60.0, 24.0 * $n), $ml, array_keys($ml)),
            50.0,
        );
        self::assertNull(Gone::beyond($job, $series(700.0, 280.0, 110.0)));
        self::assertNotNull(Gone::beyond($job, $series(400.0, 350.0, 400.0)));
    }

    public function test_a_leak_that_was_found_accounts_for_it_and_no_other_look_does(): void
    {
        $job = fn (string $place, string $gas): JobOnPaper => self::job(0.0, [500.0, 500.0])
            ->finish('cold_level:1')
            ->write('find_drip:cold_level:1', 'drip', ['place' => $place, 'where' => 'below', 'gas' => $gas]);
        $looked = $job('none', 'clear');
        self::assertNotNull(Gone::of($looked->state()));
        self::assertSame(AccountedCode::TooMuch, Accounted::of($looked->at('sign_off'))->code);
        foreach ([['hose', 'undone'], ['none', 'gas']] as [$place, $gas]) {
            $found = $job($place, $gas);
            self::assertNull(Gone::of($found->state()));
            self::assertSame(AccountedCode::Accounted, Accounted::of($found->at('sign_off'))->code);
            self::assertEqualsWithDelta(0.0, $found->state()->ledger()->trappedAirMl(), 1.0);
            self::assertEqualsWithDelta(1000.0, $found->state()->ledger()->lostMl(), 1.0);
        }
    }

    public function test_a_drip_that_is_found_makes_no_wrong_number_good(): void
    {
        $job = self::job(0.0, [2000.0])
            ->write('cool_down:1', 'drips', ['where' => 'below'])
            ->finish('cool_down:1')
            ->write('find_drip:cool_down:1', 'drip', ['place' => 'hose', 'where' => 'below', 'gas' => 'undone']);
        self::assertContains('find_drip:cool_down:1', $job->steps());
        self::assertEqualsWithDelta(-2000.0, $job->state()->ledger()->trappedAirMl(), 1.0);
        self::assertSame(WrongSum::MoreThanFits, Sums::wrong($job->at('cold_level:1'))?->code);
    }

    public function test_of_what_is_over_the_mark_the_ledger_keeps_nothing_and_takes_nothing_else(): void
    {
        $lines = fn (float $ml): array => [new Line('Poured', $ml, 10.0, 0.5), Line::gone('Gone')];
        $over = new Ledger(10_000.0, 500.0, $lines(9_900.0));
        self::assertSame(9_500.0, $over->contentMl);
        self::assertSame([9_900.0, -400.0], array_map(fn (Line $line) => $line->ml, $over->lines));
        self::assertEqualsWithDelta(0.5, (float) $over->fraction(), 1e-9, 'of the strength that is inside');
        $below = new Ledger(10_000.0, 500.0, $lines(9_000.0));
        self::assertSame(9_000.0, $below->contentMl);
        self::assertCount(1, $below->lines);
    }

    /**
     * An ambulance drained and filled, its amounts as near as a syringe reads them.
     *
     * @param  list<float>  $topUps  cold, one run after the other
     * @param  array<string, mixed>  $choices
     */
    private static function job(float $over, array $topUps, array $choices = []): JobOnPaper
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: $choices)
            ->write('found', 'found', ['content' => 'full'])
            ->write('drain:radiator_cock', 'out', ['volume' => 6000.0, 'vessel' => 'syringe', 'flow' => 'ran'])
            ->write('fill_level', 'poured', ['volume' => 6000.0 + $over, 'vessel' => 'syringe']);
        foreach ($topUps as $ml) {
            $job->write('cold_level:1', 'topped', ['volume' => $ml, 'vessel' => 'syringe', 'liquid' => 'premix']);
        }

        return $job;
    }
}
