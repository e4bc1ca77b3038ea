<?php

declare(strict_types=1);

namespace Tests\Journeys;

use Aqbel\Core\Judged\Outcome;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Ordinary jobs with one slip in them: a number ten times too large
 * or too small, or none; a line taken back at the end.
 */
final class SlipsTest extends TestCase
{
    /** Numbers of which a slip is as likely true, or that only say when, how long or how much there is to come. */
    private const SAYS_LITTLE = [
        'found.missing',
        'reading.air',
        'topped.ect',
        'off.ect',
        'driven.minutes',
        'booked.days',
        'decision.times',
        'at_mark.caught',
        'at_mark.left',
        'at_mark.spilt',
        'kept.volume',
        // The rest of it is judged where the level reaches its mark; between two of them a
        // needle that is told wrong is told right by the next.
        'poured.volume', 'poured.vacuum',
        // What a level took is air, of one size or another.
        'topped.volume',
        // A few kPa lift coolant to a point that stands a hand above the mark.
        'pumped.kpa',
        // A choice that is a figure.
        'closed.torqued', 'out.shut',
    ];

    /** Of less than this a pan tells a tenth as little as ten times of it, L. */
    private const HARDLY = 0.3;

    /** Lines without which a job stands as it stood: what follows says the same. */
    private const SAYS_NO_MORE = [
        'drain.opened',
        'pull.started',
        'hold.reading',
        'find_drip.pumped',
        'heat_cycle.fan_on',
        'heat_cycle.fan_off',
    ];

    /** @return array<string, array{string, string}> */
    public static function jobs(): array
    {
        return [
            'ambulance, vacuum' => ['rescue-ambulance', 'vacuum'],
            'ambulance, gravity' => ['rescue-ambulance', 'gravity'],
            'tractor' => ['yard-tractor', 'gravity'],
            'minibus, funnel' => ['school-minibus', 'funnel'],
            'taxi, electronics' => ['taxi-electronics', 'pressure'],
            'groomer' => ['piste-groomer', 'loose_cap'],
        ];
    }

    #[DataProvider('jobs')]
    public function test_no_slip_of_ten_passes_for_a_proof(string $circuit, string $school): void
    {
        $journey = new Journey([
            'about' => 'a slip',
            'circuit' => $circuit,
            'choices' => ['school' => $school],
            'lines' => [],
        ]);
        while (($step = $journey->state()->stepInHand()) !== null) {
            foreach (self::slips($journey->wouldAnswer()) as $slip => $answers) {
                self::assertNotSame(Outcome::Passes, $journey->whatIf($answers), "{$step->id}: {$slip}");
            }
            $journey->go();
        }
    }

    #[DataProvider('jobs')]
    public function test_nothing_is_signed_on_a_line_that_was_taken_back(string $circuit, string $school): void
    {
        $journey = new Journey([
            'about' => 'taken back',
            'circuit' => $circuit,
            'choices' => ['school' => $school],
            'lines' => [['until' => 'sign_off']],
        ]);
        $journey->play();
        foreach ($journey->state()->entries as $line) {
            $kind = ($journey->state()->steps[$line->step] ?? null)?->kind;
            if (
                $kind === null
                || $line->belongsToEveryStep()
                || in_array("{$kind}.{$line->form}", self::SAYS_NO_MORE, true)
            ) {
                continue;
            }
            $without = clone $journey;
            self::assertFalse(
                $without->takesBack($line) && $without->finishes('sign_off'),
                "{$line->step}: {$line->form}",
            );
        }
    }

    /**
     * @param  list<array{string, array<string, string>, float}>  $answers
     * @return iterable<string, list<array{string, array<string, string>,
     * float}>> with one number ten times, a tenth, or nothing
     */
    private static function slips(array $answers): iterable
    {
        foreach ($answers as $i => [$form, $fields]) {
            foreach ($fields as $name => $typed) {
                if (
                    in_array("{$form}.{$name}", self::SAYS_LITTLE, true)
                    || ($name === 'volume' && (float) $typed < self::HARDLY)
                    || preg_match('/^(\d+(?:\.\d+)?)( [^\d]+)?$/', $typed, $number) !== 1
                ) {
                    continue;
                }
                foreach ([10.0, 0.1, 0.0] as $times) {
                    $slipped = $answers;
                    $slipped[$i][1][$name] = round($times * (float) $number[1], 3).($number[2] ?? '');
                    yield "{$form}.{$name} {$typed} as {$slipped[$i][1][$name]}" => $slipped;
                }
            }
        }
    }
}
