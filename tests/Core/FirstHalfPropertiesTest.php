<?php

declare(strict_types=1);

namespace Tests\Core;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\Materials;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\CheapestBuy;
use Aqbel\Core\Stores\Offer;
use Aqbel\Core\Stores\Shopping;
use PHPUnit\Framework\TestCase;
use Tests\RandomCircuit;

/** What must hold for any circuit, any batch and any ledger, tried on many. */
final class FirstHalfPropertiesTest extends TestCase
{
    public function test_the_batch_that_is_asked_for_lands_on_target_whatever_is_retained(): void
    {
        mt_srand(5);
        foreach (['rescue-ambulance', 'yard-tractor', 'standby-generator', 'taxi-electronics'] as $key) {
            for ($try = 0; $try < 25; $try++) {
                $stock = mt_rand(0, 3) === 0 ? 0.5 : 1.0;
                $target = $stock < 1.0 ? mt_rand(30, 45) / 100 : mt_rand(35, 58) / 100;
                $job = JobOnPaper::on($key, choices: ['targetFraction' => $target, 'stockFraction' => $stock, 'content' => mt_rand(0, 1) ? 'manual' : 'water', 'opened' => []])->write('found', 'found', ['content' => 'full']);
                $full = $job->state()->ledger()->contentMl;
                $port = (string) $job->state()->stepsOf('drain')[0]->params['port'];
                $job->write("drain:{$port}", 'out', ['volume' => mt_rand(55, 99) / 100 * $full, 'vessel' => 'Measuring jug, 0.1 L marks', 'flow' => 'ran']);
                $kind = StepCatalogue::all()['mix'];
                if (array_filter($kind->obstacles($job->at('mix')), fn ($o) => str_contains($o->text, 'cannot be reached')) !== [] || $job->judge('mix') !== null) {
                    self::assertSame('Out of reach', $job->judge('mix')?->verdict);

                    continue;
                }
                $form = array_values(array_filter($kind->forms($job->at('mix')), fn ($f) => $f->name === 'batch'))[0];
                $asked = array_map(fn ($field) => (float) $field->default, array_column(array_map(fn ($f) => [$f->name, $f], $form->fields), 1, 0));
                self::assertSame('pass', $job->write('mix', 'batch', ['concentrate' => $asked['concentrate'], 'water' => $asked['water']])->judge('mix')?->tone, "{$key}, {$target}, stock {$stock}: {$job->judge('mix')?->reason}");
                self::assertGreaterThanOrEqual(0.95 * ($full - $job->state()->ledger()->contentMl), $asked['concentrate'] + $asked['water'], 'enough for the room there is');
            }
        }
    }

    public function test_what_is_added_to_a_wrong_batch_puts_it_right(): void
    {
        mt_srand(6);
        for ($try = 0; $try < 40; $try++) {
            $job = JobOnPaper::on('rescue-ambulance')->write('found', 'found', ['content' => 'full'])->write('drain:radiator_cock', 'out', ['volume' => 9600.0, 'vessel' => 'Drain pan, 0.5 L marks', 'flow' => 'ran'])
                ->write('mix', 'batch', ['concentrate' => (float) mt_rand(1000, 9000), 'water' => (float) mt_rand(1000, 9000)]);
            $form = array_values(array_filter(StepCatalogue::all()['mix']->forms($job->at('mix')), fn ($f) => $f->name === 'batch'))[0];
            [$stock, $water] = array_map(fn ($field) => (float) $field->default, array_slice($form->fields, 0, 2));
            if ($stock + $water > 0.0) {
                $job->write('mix', 'batch', ['concentrate' => $stock, 'water' => $water]);
            }
            self::assertSame('On target', $job->judge('mix')->verdict, "added {$stock} and {$water}: {$job->judge('mix')->reason}");
        }
    }

    public function test_no_other_choice_of_containers_is_cheaper(): void
    {
        mt_srand(8);
        for ($try = 0; $try < 60; $try++) {
            $offered = array_map(fn () => ['kind' => 'water', 'ml' => mt_rand(1, 8) * 500.0, 'price' => mt_rand(10, 90) / 10], range(1, 3));
            $need = mt_rand(1, 900) * 10.0;
            $best = CheapestBuy::cheapest($offered, ['water' => $need]);
            $cheapest = INF;
            for ($a = 0; $a <= 18; $a++) {
                for ($b = 0; $b <= 18; $b++) {
                    for ($c = 0; $c <= 18; $c++) {
                        if ($a * $offered[0]['ml'] + $b * $offered[1]['ml'] + $c * $offered[2]['ml'] >= $need) {
                            $cheapest = min($cheapest, $a * $offered[0]['price'] + $b * $offered[1]['price'] + $c * $offered[2]['price']);
                        }
                    }
                }
            }
            self::assertEqualsWithDelta($cheapest, $best['cost'], 1e-9);
            self::assertGreaterThanOrEqual(-1e-6, $best['left_over_ml']['water']);
        }
    }

    public function test_both_ways_of_buying_hold_what_the_circuit_takes_with_the_spare(): void
    {
        mt_srand(9);
        $offers = [new Offer('c', Offer::CONCENTRATE, 1500, 11, 1.0, Glycol::Ethylene, 'a'), new Offer('p', Offer::PREMIX, 5000, 26, 0.5, Glycol::Ethylene, 'a'), new Offer('w', Offer::WATER, 5000, 4, 0.0)];
        for ($try = 0; $try < 60; $try++) {
            $capacity = mt_rand(2000, 40000);
            $need = new Mix(Volume::millilitres($capacity), Volume::millilitres(mt_rand(0, 40) / 100 * $capacity), mt_rand(0, 1) * 0.5, mt_rand(35, 60) / 100);
            foreach (Shopping::ways($need, $offers) as $way) {
                $bought = array_sum(array_map(fn (array $line) => $line['count'] * $line['ml'], $way->buy));
                self::assertGreaterThanOrEqual(Shopping::SPARE * $way->mix->room->mL() - 3.0, $bought);
                self::assertEqualsWithDelta($way->cost, array_sum(array_map(fn (array $line) => $line['count'] * $line['price'], $way->buy)), 1e-9);
                self::assertLessThanOrEqual(max($need->targetFraction, $need->retainedFraction) + 1e-9, $way->mix->finalFraction(), 'never stronger than asked');
            }
        }
    }

    public function test_worth_never_invents_coolant_and_a_must_keeps_its_part_dry(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $circuit = RandomCircuit::make($seed);
            $parts = array_slice(array_keys($circuit->passages), 0, 3);
            $worth = DrainWorth::of($circuit, $parts, $seed % 2 === 0);
            $open = DrainWorth::recommended($worth);
            self::assertLessThanOrEqual($circuit->capacityMl() + 1.0, array_sum(array_map(fn (DrainWorth $w) => in_array($w->port->id, $open, true) ? $w->volumeMl : 0.0, $worth)), "seed {$seed}");
            self::assertCount(count($circuit->portsOf('drain')), $worth);
            $after = Drainage::of($circuit, $open, Filling::usualGates($circuit))->retained;
            foreach ($worth as $one) {
                self::assertGreaterThanOrEqual(0.0, $one->volumeMl);
                foreach ($one->keepsDry as $part) {
                    self::assertLessThan(0.75 * $circuit->passages[$part]->volumeMl, $after[$part] ?? 0.0, "seed {$seed}: {$part} still stands full");
                }
            }
            $below = DrainWorth::belowHeadspace($worth, 500.0);
            self::assertLessThanOrEqual(500.0 + 1e-6, array_sum(array_map(fn (DrainWorth $w) => $w->volumeMl, $worth)) - array_sum(array_map(fn (DrainWorth $w) => $w->volumeMl, $below)));
        }
    }

    public function test_every_cover_that_comes_off_goes_back_once(): void
    {
        foreach (self::circuits() as $key => $circuit) {
            foreach (['gravity', 'vacuum'] as $school) {
                foreach ([[], array_keys($circuit->passages), array_slice(array_keys($circuit->passages), 2, 4)] as $opened) {
                    $input = JobOnPaper::on($key, choices: ['opened' => $opened])->input->with($school);
                    $materials = new Materials($circuit, $input);
                    $close = array_filter(array_keys($materials->toCloseUp(UnitSystem::Metric)), fn (string $item) => str_starts_with($item, 'cover_'));
                    $back = [...$close, ...array_keys($materials->toRefitBeforeStart()), ...array_keys($materials->toRefitAtTheEnd())];
                    self::assertSame(count($back), count(array_unique($back)), "{$key}: twice");
                    self::assertEqualsCanonicalizing(array_map(fn ($cover) => "cover_{$cover->id}", $materials->covers()), $back, "{$key}, {$school}");
                }
            }
        }
    }

    public function test_old_coolant_only_ever_gets_less(): void
    {
        mt_srand(12);
        for ($job = 0; $job < 200; $job++) {
            $lines = [new Line('found', 9000.0, 0, 0.5, true)];
            $before = 9000.0;
            for ($i = 0; $i < 10; $i++) {
                $content = (new Ledger(10000, 0, $lines))->contentMl;
                $lines[] = mt_rand(0, 1) ? new Line('out', -mt_rand(0, (int) $content), 0, null) : new Line('in', (float) mt_rand(0, 900), 0, mt_rand(0, 100) / 100);
                $ledger = new Ledger(10000, 0, $lines);
                self::assertLessThanOrEqual($before + 1e-6, $ledger->oldMl);
                self::assertLessThanOrEqual($ledger->contentMl + 1e-6, $ledger->oldMl);
                self::assertCount(count($lines), $ledger->steps);
                $before = $ledger->oldMl;
            }
        }
    }

    public function test_a_strength_and_its_freeze_point_lead_back_to_each_other(): void
    {
        foreach (Glycol::cases() as $base) {
            for ($percent = 5; $percent <= 55; $percent++) {
                $freeze = (new Mixture($base, $percent / 100))->freezePoint();
                self::assertEqualsWithDelta($percent / 100, Mixture::freezingAt($base, Temperature::celsius($freeze->degC()))->volumeFraction, 1e-4);
            }
        }
    }

    public function test_a_batch_is_measured_in_a_vessel_fine_enough_for_it(): void
    {
        $rules = new HouseRules;
        self::assertSame('Mixing bucket, 0.25 L marks', $rules->mixingVessel(12_000));
        self::assertSame('Measuring jug, 0.1 L marks', $rules->mixingVessel(2_500));
        self::assertSame('Measuring jug, 0.1 L marks', $rules->mixingVessel(500), 'never a syringe');
        self::assertSame('pail', (new HouseRules(vessels: ['pail' => 1000.0]))->mixingVessel(3_000));
        self::assertSame('bucket', (new HouseRules(vessels: []))->mixingVessel(3_000));
    }

    /** @return array<string, Circuit> */
    private static function circuits(): array
    {
        $circuits = [];
        foreach (glob(__DIR__.'/../../database/demo/circuits/*.json') ?: [] as $file) {
            $circuits[basename($file, '.json')] = CircuitReader::read(json_decode((string) file_get_contents($file), true));
        }

        return $circuits;
    }
}
