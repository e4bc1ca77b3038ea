<?php

declare(strict_types=1);

namespace Tests\Core\Learned;

use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Document;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Learned\Figures;
use Aqbel\Core\Learned\Mean;
use Aqbel\Core\Learned\MeasuredJob;
use Aqbel\Core\Learned\MeasuredJobs;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** What scripts and other shops say that jobs measured. */
final class MeasuredJobsTest extends TestCase
{
    public function test_every_drain_was_open_unless_a_job_says_which(): void
    {
        $circuit = Demo::circuit('rescue-ambulance');
        $drains = $circuit->portIds(PortKind::Drain);
        $cock = $drains[0];
        $retained = fn (array $job): float => self::predicted($circuit, ['retained_ml' => 900.0, ...$job])['retained'];
        $all = self::left($circuit, $drains);
        $one = self::left($circuit, [$cock]);
        self::assertGreaterThan($all + 100.0, $one);
        self::assertEqualsWithDelta($all, $retained([]), 20.0, 'nothing measured but what stayed');
        self::assertEqualsWithDelta($all, $retained(['drains' => [['port' => $cock, 'ml' => 4000.0]]]), 20.0);
        self::assertEqualsWithDelta($one, $retained(['open' => [$cock]]), 20.0);
        $measured = ['drains' => [['port' => $cock, 'ml' => 4000.0]], 'open' => [$cock]];
        self::assertEqualsWithDelta($one, $retained($measured), 20.0);
        // What is measured was open, whatever the list forgets.
        self::assertEqualsWithDelta($one, $retained([...$measured, 'open' => []]), 20.0);
    }

    public function test_what_stayed_alone_finds_nothing_where_it_is_as_predicted(): void
    {
        $circuit = Demo::circuit('taxi-engine');
        $left = self::left($circuit, $circuit->portIds(PortKind::Drain));
        $jobs = array_fill(0, 8, ['retained_ml' => $left, 'retained_plus_minus_ml' => 100.0]);
        $told = TopicList::answer(
            'learn',
            (string) json_encode(['circuit' => Demo::document('taxi-engine'), 'jobs' => $jobs]),
        );
        self::assertSame([], $told['findings']);
    }

    public function test_one_drain_in_two_vessels_gave_their_sum(): void
    {
        $circuit = Demo::circuit('taxi-engine');
        $cock = $circuit->portIds(PortKind::Drain)[0];
        $vessel = fn (float $ml): array => ['port' => $cock, 'ml' => $ml, 'plus_minus_ml' => 100.0];
        $job = self::read($circuit, ['drains' => [$vessel(2000.0), $vessel(1500.0)]]);
        self::assertSame([[$cock, 3500.0, hypot(100.0, 100.0)]], $job->drains);
    }

    public function test_a_drain_the_circuit_does_not_have_is_refused_by_its_place(): void
    {
        $this->expectExceptionObject(new InvalidField('jobs.0.open', 'There is no drain “bath_plug” in this circuit.'));
        self::read(Demo::circuit('taxi-engine'), ['open' => ['bath_plug']]);
    }

    public function test_what_is_written_reads_the_same_and_a_file_of_before_opened_what_it_measured(): void
    {
        $circuit = Demo::circuit('taxi-engine');
        $cock = $circuit->portIds(PortKind::Drain)[0];
        foreach ([['open' => [$cock]], [], ['drains' => [['port' => $cock, 'ml' => 4000.0]]]] as $job) {
            $read = self::read($circuit, ['retained_ml' => 900.0, ...$job]);
            $part = [MeasuredJobs::PART => ['jobs' => MeasuredJobs::write([$read])]];
            self::assertEquals([$read], MeasuredJobs::with($part, $circuit));
        }
        $before = [MeasuredJobs::PART => ['jobs' => [['drains' => [['port' => $cock, 'ml' => 4000.0]]]]]];
        self::assertSame([], MeasuredJobs::with($before, $circuit)[0]->alsoOpen);
    }

    public function test_who_is_far_from_the_others_is_left_out_and_who_differs_widens(): void
    {
        $mean = fn (float ...$ml): array => (array) Mean::of(array_map(fn (float $one): array => [$one, 50.0], $ml));
        self::assertSame([2000.0, 50.0 ** 2 / 4.0, 1], array_values($mean(1950.0, 2050.0, 19500.0, 2010.0, 1990.0)));
        // Two who differ: nobody can say which of them it is.
        self::assertSame([1500.0, 1000.0 ** 2 / 2.0 / 2.0, 0], array_values($mean(1000.0, 2000.0)));
        self::assertSame([1000.0, 2500.0, 0], array_values($mean(1000.0)));
        // All of them apart: no one of them is the slip.
        self::assertSame(0, $mean(1000.0, 1400.0, 1800.0, 2200.0)['leftOut']);
    }

    public function test_a_slip_in_one_job_of_eight_finds_nothing(): void
    {
        $document = Demo::document('taxi-engine');
        $circuit = Demo::circuit('taxi-engine');
        $ports = $circuit->portIds(PortKind::Drain);
        $out = Drainage::of($circuit, $ports, $circuit->usualGates(), airOpen: $circuit->portIds(PortKind::Bleed));
        $headspace = $circuit->headspaceMl();
        $drains = array_map(
            fn ($drain, int $i): array => [
                'port' => $drain->port,
                'ml' => round($drain->volumeMl - ($i === 0 ? $headspace : 0.0), -2),
                'plus_minus_ml' => 100.0,
            ],
            $out->drains,
            array_keys($out->drains),
        );
        $jobs = array_fill(0, 8, ['drains' => $drains]);
        foreach ([0.1, 10.0] as $slip) {
            $jobs[3]['drains'][0]['ml'] = $slip * $drains[0]['ml'];
            $told = TopicList::answer('learn', (string) json_encode(['circuit' => $document, 'jobs' => $jobs]));
            self::assertSame([], $told['findings']);
        }
    }

    /** @param  array<string, mixed>  $job */
    private static function read(Circuit $circuit, array $job): MeasuredJob
    {
        return MeasuredJobs::read(new Document(['jobs' => [$job]]), $circuit)[0];
    }

    /**
     * @param  array<string, mixed>  $job
     * @return array<string, float> what the circuit says to it, by what was measured
     */
    private static function predicted(Circuit $circuit, array $job): array
    {
        $figures = new Figures($circuit, [self::read($circuit, $job)]);
        $names = array_map(fn (string $name): string => explode('|', $name)[1], $figures->names);

        return array_combine($names, $figures->by($circuit));
    }

    /** @param  list<string>  $open */
    private static function left(Circuit $circuit, array $open): float
    {
        return Drainage::of(
            $circuit,
            $open,
            $circuit->usualGates(),
            airOpen: $circuit->portIds(PortKind::Bleed),
            coarseness: 2.0,
        )->retainedMl;
    }
}
