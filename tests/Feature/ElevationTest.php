<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Elevation\Body;
use App\Elevation\Cell;
use App\Elevation\Drawing;
use App\Elevation\Label;
use App\Elevation\PocketLabel;
use App\Elevation\Tube;
use App\Models\Circuit;
use App\Models\Job;
use Aqbel\Core\Circuit\Circuit as CoreCircuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\CellState;
use Aqbel\Core\Flow\Run;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Job\PortState;
use PHPUnit\Framework\Attributes\Group;

/** The side view: to scale, and moving with the job. */
#[Group('one-database')]
final class ElevationTest extends ShopTestCase
{
    public function test_one_scale_for_both_axes_and_front_to_the_left(): void
    {
        $scale = (new Drawing($this->box(), null))->scale;
        self::assertEqualsWithDelta(400 * $scale->unit, $scale->x(100) - $scale->x(500), 0.2);
        self::assertEqualsWithDelta(400 * $scale->unit, $scale->y(500) - $scale->y(900), 0.2);
        self::assertLessThan($scale->x(-300), $scale->x(500), 'what is further forward stands further left');
        self::assertSame([], $scale->breaks);
    }

    public function test_a_long_stretch_without_a_node_is_broken_and_the_rest_keeps_its_scale(): void
    {
        $minibus = (new Drawing(Circuit::query()->where('key', 'school-minibus')->first()->read(), null))->scale;
        self::assertCount(1, $minibus->breaks);
        self::assertEqualsWithDelta(100 * $minibus->unit, $minibus->x(-2700) - $minibus->x(-2600), 0.2);
        self::assertLessThan(2000 * $minibus->unit, $minibus->x(-2600) - $minibus->x(-600));
        self::assertGreaterThan($minibus->x(-600), $minibus->breaks[0]);
        self::assertLessThan($minibus->x(-2600), $minibus->breaks[0]);
    }

    public function test_while_it_is_filled_arrows_lead_the_air_to_the_next_point_and_a_raised_nose_tilts_the_vehicle(): void
    {
        $job = $this->plan('SKP 114');
        $this->walk($job)->until('bleed:bleed_heater');
        $page = $this->get("/jobs/{$job->id}?step=bleed:bleed_heater")
            ->assertOk()
            ->assertSee('Air leaves next at Heater hose screw, when');
        self::assertGreaterThan(5, substr_count((string) $page->getContent(), 'class="el-airway"'));
        $page->assertDontSee('transform="matrix', false);

        $raised = $this->plan('SKP 660', 'raise');
        $this->walk($raised)->until('lower');
        $this->get("/jobs/{$raised->id}?step=lower")
            ->assertOk()
            ->assertSee('transform="matrix', false)
            ->assertDontSee('el-airway', false);
        $this->walk($raised)->until('fill_level');
        $this->get("/jobs/{$raised->id}?step=fill_level")->assertOk()->assertDontSee('transform="matrix', false);
    }

    public function test_the_vehicle_tilts_as_its_nodes_do(): void
    {
        $van = Circuit::query()->where('key', 'post-van')->first()->read();
        [$level, $up] = [new Drawing($van, null), new Drawing($van, null, 300.0)];
        $scale = $up->scale;
        foreach ($van->nodes as $id => $node) {
            // On the level it would stand at this height of the same picture.
            self::assertEqualsWithDelta(
                $scale->y($node->zMm) - $scale->rise($scale->x($node->xMm)),
                $scale->node($id)[1],
                0.3,
                $id,
            );
        }
        self::assertNull($level->vehicle->tilt());
        self::assertNotNull($up->vehicle->tilt());
    }

    public function test_a_liquid_surface_is_drawn_level_and_a_hose_is_filled_by_its_length(): void
    {
        // Half full: coolant in the lower half of the upright, cut at its middle height.
        $drawing = new Drawing($this->box(), new Runs([
            'upright' => [new Run(0.0, 0.5, CellState::Air), new Run(0.5, 1.0, CellState::Coolant)],
            'rise' => [new Run(0.0, 0.3, CellState::Coolant), new Run(0.3, 1.0, CellState::Trapped)],
        ]));
        $upright = $this->cell($drawing, 'upright');
        [$wet] = $upright->filled(CellState::Coolant);
        self::assertSame([], $upright->filled(CellState::Trapped));
        self::assertEqualsWithDelta($drawing->scale->y(600), $wet['y'], 0.2);
        self::assertEqualsWithDelta($drawing->scale->y(300), $wet['y'] + $wet['height'], 0.2);
        $tubes = array_column(array_merge(...$drawing->tubes->groups), null, 'passage');
        self::assertSame(
            ['floor', 'rise'],
            array_keys($tubes) === ['rise', 'floor'] ? ['floor', 'rise'] : array_keys($tubes),
        );
        self::assertSame(['0 0 0.3 2'], $tubes['rise']->filled(CellState::Coolant));
        self::assertSame(['0 0.3 0.7 2'], $tubes['rise']->filled(CellState::Trapped));
        self::assertCount(1, $drawing->tubes->groups, 'they meet at a tee, and share one outline');
    }

    /** As the model has them: a curve has no high point that its ends do not have. */
    public function test_no_hose_rises_or_dips_where_the_model_does_not(): void
    {
        foreach (Circuit::query()->get() as $model) {
            $circuit = $model->read();
            $drawing = new Drawing($circuit, null);
            foreach (array_merge(...$drawing->tubes->groups) as $tube) {
                $ends = array_map(fn (string $node) => $drawing->scale->node($node)[1], [
                    $circuit->passages[$tube->passage]->from,
                    $circuit->passages[$tube->passage]->to,
                ]);
                foreach ($tube->along() as $box) {
                    self::assertGreaterThanOrEqual(
                        min($ends) - 0.1,
                        $box->y + $box->height / 2.0,
                        "{$model->name} {$tube->passage}",
                    );
                    self::assertLessThanOrEqual(
                        max($ends) + 0.1,
                        $box->y + $box->height / 2.0,
                        "{$model->name} {$tube->passage}",
                    );
                }
            }
        }
    }

    public function test_every_passage_is_drawn_once_and_an_engine_has_its_banks_beside_each_other(): void
    {
        foreach (Circuit::query()->get() as $model) {
            $circuit = $model->read();
            $drawing = new Drawing($circuit, null);
            $cells = array_merge(
                ...array_map(
                    fn (Body $body) => array_map(fn (Cell $cell) => $cell->passage, $body->cells),
                    $drawing->bodies,
                ),
            );
            $tubes = array_map(fn (Tube $tube) => $tube->passage, array_merge(...$drawing->tubes->groups));
            self::assertEqualsCanonicalizing(array_keys($circuit->passages), [...$cells, ...$tubes], $model->name);
            self::assertCount(
                1,
                array_filter($drawing->bodies, fn (Body $body) => $body->kind === Body::ENGINE),
                $model->name,
            );
        }
        $six = new Drawing(Circuit::query()->where('key', 'rescue-ambulance')->first()->read(), null);
        [$left, $right] = [$this->cell($six, 'left_block'), $this->cell($six, 'right_block')];
        self::assertSame($left->y, $right->y);
        self::assertLessThan(
            $right->x,
            $left->x + $left->width,
            'the front bank stands in front, and neither over the other',
        );
    }

    private function cell(Drawing $drawing, string $passage): Cell
    {
        $cells = array_merge(...array_map(fn (Body $body) => $body->cells, $drawing->bodies));

        return array_values(array_filter($cells, fn (Cell $cell) => $cell->passage === $passage))[0];
    }

    public function test_a_raised_nose_raises_the_front_most(): void
    {
        $flat = new Drawing($this->box(), null);
        $raised = new Drawing($this->box(), null, 300.0);
        $rise = fn (string $node) => (
            $raised->scale->floor() - $raised->nodes()[$node][1]
        ) / $raised->scale->unit - ($flat->scale->floor() - $flat->nodes()[$node][1]) / $flat->scale->unit;
        self::assertEqualsWithDelta(300.0 * (1 + 500 / 2600), $rise('top'), 2.0);
        self::assertGreaterThan($rise('back'), $rise('top'));
    }

    public function test_markers_of_ports_at_one_node_are_moved_apart_and_pockets_are_named(): void
    {
        $drawing = new Drawing(
            $this->box(),
            null,
            0.0,
            [new PocketLabel('0.40 L air', new Volumes(['upright' => 400.0]))],
        );
        [$a, $b] = array_slice($drawing->ports, 1, 2);
        self::assertSame($a->at, $b->at);
        self::assertGreaterThan(26, hypot($a->x - $b->x, $a->y - $b->y));
        $named = array_values(array_filter($drawing->labels(), fn (Label $label) => $label->kind === Label::POCKET));
        self::assertSame('Upright 0.40 L air', implode(' ', $named[0]->lines));
    }

    public function test_the_picture_moves_with_the_job(): void
    {
        $job = $this->plan('SKP 114');
        self::assertEqualsWithDelta(1.0, $this->wet($job, 'radiator'), 0.01);
        $this->walk($job)->until('drain:left_plug');
        self::assertEqualsWithDelta(0.0, $this->wet($job, 'radiator'), 0.01, 'the radiator is empty after its cock');
        self::assertEqualsWithDelta(
            1.0,
            $this->wet($job, 'left_low_jacket'),
            0.01,
            'the left bank still holds its own',
        );
        $this->walk($job)->until('look');
        self::assertEqualsWithDelta(0.0, $this->wet($job, 'left_low_jacket'), 0.01);
        self::assertSame(PortState::Closed, $job->refresh()->summary?->ports['left_plug']);
        $this->walk($job)->until('bleed:bleed_housing')->enter('poured', ['volume' => '3', 'vessel' => 'bucket']);
        self::assertGreaterThan(0.5, $this->wet($job, 'left_low_jacket'), 'what was poured stands at the bottom');
        self::assertLessThan(0.9, $this->wet($job, 'radiator'));
        self::assertSame(PortState::Open, $job->refresh()->summary?->ports['bleed_heater']);
        $this->walk($job)->until('heat_cycle:1');
        self::assertContains(
            CellState::Trapped,
            $this->states($job, 'heater_core_b'),
            'the predicted pocket is hatched',
        );
        $this->walk($job)->until('leak_check');
        foreach (array_keys($job->circuit->read()->passages) as $passage) {
            self::assertNotContains(CellState::Trapped, $this->states($job, $passage), 'proven: no air is drawn');
        }
    }

    public function test_a_drain_that_came_short_leaves_coolant_in_the_picture(): void
    {
        $job = $this->plan('SKP 114');
        $this->walk($job)->until('drain:radiator_cock')->enter(
            'out',
            ['volume' => '4', 'vessel' => 'pan', 'flow' => 'early'],
        );
        self::assertGreaterThan(0.3, $this->wet($job, 'radiator'));
        self::assertLessThan(1.0, $this->wet($job, 'radiator'));
        self::assertEqualsWithDelta(0.0, $this->wet($job, 'tank'), 0.01, 'the highest part empties first');
    }

    public function test_vacuum_stands_empty_until_it_draws(): void
    {
        $job = $this->plan('SKP 114', 'vacuum');
        $this->walk($job)->until('vacuum_fill');
        self::assertEqualsWithDelta(0.0, $this->wet($job, 'radiator'), 0.01);
        $this->walk($job)->until('vacuum_fill')->enter(
            'poured',
            ['volume' => '4', 'vessel' => 'bucket', 'vacuum' => '17'],
        );
        self::assertGreaterThan(0.2, $this->wet($job, 'radiator'));
        self::assertLessThan(0.8, $this->wet($job, 'radiator'), 'it stands as high as what went in');
        $this->walk($job)->until('heat_cycle:1');
        self::assertEqualsWithDelta(1.0, $this->wet($job, 'radiator'), 0.01);
    }

    /** Share of a passage that is drawn as coolant. */
    private function wet(Job $job, string $passage): float
    {
        $runs = $job->refresh()->summary?->runs()->of($passage) ?? [];

        return array_sum(
            array_map(fn (Run $run) => $run->state === CellState::Coolant ? $run->to - $run->from : 0.0, $runs),
        );
    }

    /** @return list<CellState> */
    private function states(Job $job, string $passage): array
    {
        return array_map(fn (Run $run) => $run->state, $job->refresh()->summary?->runs()->of($passage) ?? []);
    }

    private function box(): CoreCircuit
    {
        return CircuitReader::read([
            'format' => CoreCircuit::FORMAT, 'name' => 'box',
            'nodes' => [
                ['id' => 'top', 'x_mm' => 500, 'z_mm' => 900],
                ['id' => 'bottom', 'x_mm' => 500, 'z_mm' => 300],
                ['id' => 'middle', 'x_mm' => 100, 'z_mm' => 300],
                ['id' => 'back', 'x_mm' => -300, 'z_mm' => 800],
            ],
            'passages' => [
                [
                    'id' => 'upright',
                    'from' => 'top',
                    'to' => 'bottom',
                    'volume_ml' => 2000,
                    'kind' => 'radiator',
                    'label' => 'Upright',
                ],
                ['id' => 'floor', 'from' => 'bottom', 'to' => 'middle', 'volume_ml' => 300],
                ['id' => 'rise', 'from' => 'middle', 'to' => 'back', 'volume_ml' => 500],
            ],
            'ports' => [
                ['id' => 'neck', 'node' => 'top', 'kind' => 'fill'],
                ['id' => 'one', 'node' => 'back', 'kind' => 'bleed'],
                ['id' => 'two', 'node' => 'back', 'kind' => 'bleed'],
            ],
        ]);
    }
}
