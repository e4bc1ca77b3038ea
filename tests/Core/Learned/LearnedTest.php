<?php

declare(strict_types=1);

namespace Tests\Core\Learned;

use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\DrainedPort;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Learned\Finding;
use Aqbel\Core\Learned\Learned;
use Aqbel\Core\Learned\MeasuredJob;
use Aqbel\Core\Plan\Draws;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Demo;

/** Jobs simulated on a circuit that is not quite, or not at all, what its file says. */
final class LearnedTest extends TestCase
{
    private const KEYS = [
        'post-van',
        'school-minibus',
        'taxi-engine',
        'rescue-ambulance',
        'footpath-sweeper',
        'yard-tractor',
    ];

    public function test_on_right_circuits_hardly_anything_is_proposed(): void
    {
        $proposed = 0;
        for ($seed = 1; $seed <= 20; $seed++) {
            $circuit = Demo::circuit(self::KEYS[$seed % count(self::KEYS)]);
            $truth = Draws::of($circuit, 1000 + $seed, 41)->circuit($seed % 41);
            $proposed += (int) (Learned::of($circuit, self::jobs($truth, 8, $seed))->findings !== []);
        }
        self::assertLessThanOrEqual(0.05, $proposed / 20);
    }

    public function test_a_volume_that_is_far_off_is_named_and_the_drains_come_right(): void
    {
        [$named, $halved, $cases] = [0, 0, 0];
        foreach (['radiator' => 1.9] as $passage => $factor) {
            foreach (self::KEYS as $i => $key) {
                $circuit = Demo::circuit($key);
                if (! isset($circuit->passages[$passage])) {
                    continue;
                }
                $cases++;
                $truth = Draws::of($circuit, 500 + $i, 41)->circuit($i)->but([], [$passage => $factor]);
                $learned = Learned::of($circuit, self::jobs($truth, 8, 70 + $i));
                $named += (int) in_array(
                    $passage,
                    array_map(fn (Finding $finding) => $finding->passage, $learned->findings),
                    true,
                );
                $halved += (int) (self::off($learned->circuit, $truth) <= 0.5 * self::off($circuit, $truth));
            }
        }
        // Two volumes behind one drain cannot be told apart by what comes out of it.
        self::assertGreaterThanOrEqual(0.6, $named / $cases, "{$named} of {$cases}");
        self::assertGreaterThanOrEqual(0.9, $halved / $cases, "{$halved} of {$cases}");
    }

    public function test_a_wrong_volume_and_a_wrong_height_are_both_named_within_eight_jobs(): void
    {
        $circuit = Demo::circuit('school-minibus');
        // The jacket's outlet sits higher than its file says, and the radiator holds more.
        $truth = $circuit->but(['stat' => 90.0], ['radiator' => 1.6]);
        $learned = Learned::of($circuit, self::jobs($truth, 8, 3));
        $found = array_map(fn (Finding $finding) => $finding->node ?? $finding->passage, $learned->findings);
        self::assertContains('radiator', $found);
        self::assertContains('stat', $found);
        $radiator = array_values(
            array_filter($learned->findings, fn (Finding $finding) => $finding->passage === 'radiator'),
        )[0];
        self::assertEqualsWithDelta(1.6 * $radiator->was, $radiator->is, 0.15 * $radiator->is);
        self::assertLessThan(0.5 * self::off($circuit, $truth), self::off($learned->circuit, $truth));
    }

    public function test_by_script_it_gives_a_circuit_that_reads_and_refuses_what_it_does_not_know(): void
    {
        $circuit = Demo::circuit('taxi-engine');
        $jobs = array_map(
            fn (MeasuredJob $job): array => [
                'drains' => array_map(
                    fn (array $drain): array => ['port' => $drain[0], 'ml' => $drain[1]],
                    $job->drains,
                ),
                'retained_ml' => $job->retained[0] ?? 0.0,
                'top_ups' => [['ml' => $job->air[0] ?? 0.0, 'plus_minus_ml' => 60]],
            ],
            self::jobs($circuit->but([], ['radiator' => 1.8]), 5, 9),
        );
        $told = TopicList::answer(
            'learn',
            (string) json_encode(['circuit' => Demo::document('taxi-engine'), 'jobs' => $jobs]),
        );
        self::assertSame(['radiator', 'volume'], [$told['findings'][0]['passage'], $told['findings'][0]['what']]);
        self::assertTrue(
            $told['findings'][0]['low'] < $told['findings'][0]['is']
                && $told['findings'][0]['is'] < $told['findings'][0]['high'],
        );
        $again = TopicList::answer('learn', (string) json_encode(['circuit' => $told['circuit'], 'jobs' => $jobs]));
        self::assertSame([], $again['findings'], 'once it is put in, nothing is left to find');
        $this->expectException(InvalidField::class);
        TopicList::answer(
            'learn',
            (string) json_encode([
                'circuit' => Demo::document('taxi-engine'),
                'jobs' => [['drains' => [['port' => 'bath_plug', 'ml' => 3]]]],
            ]),
        );
    }

    private static function off(Circuit $is, Circuit $truth): float
    {
        [$drains, , $air] = self::truth($truth);
        [$others, , $otherAir] = self::truth($is);

        return array_sum(array_map(fn (float $a, float $b): float => abs($a - $b), $drains, $others))
            + abs($air - $otherAir);
    }

    /** @return array{list<float>, float, float, float} drains, retained, air, poured, mL */
    private static function truth(Circuit $circuit): array
    {
        $bleeds = $circuit->portIds(PortKind::Bleed);
        $out = Drainage::of($circuit, $circuit->portIds(PortKind::Drain), $circuit->usualGates(), airOpen: $bleeds);
        $headspace = $circuit->headspaceMl();
        $drains = Drainage::belowHeadspace(
            array_map(fn (DrainedPort $drain) => $drain->volumeMl, $out->drains),
            $headspace,
        );
        $air = Filling::of($circuit, $circuit->fillPort()->id, $bleeds, $circuit->usualGates())->airMl;

        return [$drains, $out->retainedMl, $air, $circuit->capacityMl() - $headspace - $out->retainedMl - $air];
    }

    /** @return non-empty-list<MeasuredJob> as vessels read them */
    private static function jobs(Circuit $truth, int $count, int $seed): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $read = fn (float $ml, float $plusMinus): float => max(
            0.0,
            $ml
                + ($plusMinus / 1.96)
                    * sqrt(-2.0 * log($chance->getInt(1, 999999) / 1.0e6))
                    * cos((2.0 * M_PI * $chance->getInt(0, 999999)) / 1.0e6),
        );
        [$drains, $retained, $air, $poured] = self::truth($truth);
        $ports = $truth->portIds(PortKind::Drain);
        $jobs = [];
        for ($i = 0; $i < $count; $i++) {
            $jobs[] = new MeasuredJob(
                array_map(fn (string $port, float $ml): array => [$port, $read($ml, 140.0), 140.0], $ports, $drains),
                [$read($retained, 280.0), 280.0],
                [$read($poured, 140.0), 140.0],
                [$read($air, 60.0), 60.0],
            );
        }

        return $jobs === [] ? [new MeasuredJob([])] : $jobs;
    }
}
