<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Maker;

/**
 * A circuit put together from the parts real ones are made of. Heights and volumes are those of usual vehicles (from
 * memory): each stands until somebody measures it, and carries a ± that says so.
 *
 * Nodes that nobody would measure follow those that are asked: so far up between two of them as they stand here.
 */
final class Sketch
{
    /** Below it nobody sees a hump in a hose, mm. */
    private const FLOOR_PIPE_MM = 330.0;

    /** @var array<string, SketchNode> */
    private array $nodes = [];

    /** @var array<string, array{from: string, to: string, ml: float, kind: string, label: string}> */
    private array $passages = [];

    /** @var array<string, array{passage: string, kind: string, label: string, weeps: bool}> */
    private array $gates = [];

    /** @var array<string, array{node: string, kind: string, label: string}> */
    private array $ports = [];

    /** @var array<string, mixed> */
    private array $facts = ['outlets' => []];

    public function __construct(public readonly float $wheelbaseMm)
    {
    }

    /** @return array<string, SketchNode> */
    public function nodes(): array
    {
        return $this->nodes;
    }

    /** @return array<string, array{from: string, to: string, ml: float, kind: string, label: string}> */
    public function passages(): array
    {
        return $this->passages;
    }

    /** @return array<string, array{passage: string, kind: string, label: string, weeps: bool}> */
    public function gates(): array
    {
        return $this->gates;
    }

    /** @return array<string, array{node: string, kind: string, label: string}> */
    public function ports(): array
    {
        return $this->ports;
    }

    /** @return array<string, mixed> what the layout itself says of the vehicle */
    public function facts(): array
    {
        return $this->facts;
    }

    public function capacityMl(): float
    {
        return array_sum(array_column($this->passages, 'ml'));
    }

    /** Pump, jackets and thermostat housing of an engine in one row. */
    public function engine(float $x, float $low, float $top, float $litres = 2.9): self
    {
        $ml = 1000.0 * $litres;
        $this->node('pump', $x + 150, $low + 80, 'Water pump', ['rad_bot', 'stat']);
        $this->node('blk_low', $x - 50, $low, 'Foot of the block', ['rad_bot', 'stat']);
        $this->node('blk_mid', $x, $low + 0.4 * ($top - $low), 'Block', ['blk_low', 'stat']);
        $this->node('head', $x, $top - 60, 'Cylinder head', ['blk_low', 'stat']);
        $this->node('stat', $x + 150, $top, 'Thermostat housing', ask: 'Top of the thermostat housing');
        $this->passage('block_low', 'pump', 'blk_low', 0.25 * $ml, 'block', 'Lower water jacket');
        $this->passage('block', 'pump', 'blk_mid', 0.39 * $ml, 'block', 'Block');
        $this->passage('head_core', 'blk_mid', 'head', 0.31 * $ml, 'head', 'Cylinder head');
        $this->passage('stat_housing', 'head', 'stat', 0.05 * $ml, 'head', 'Thermostat housing');

        return $this;
    }

    /** Two banks with a plug each. */
    public function twoBanks(float $x, float $low, float $top): self
    {
        $this->node('pump', $x + 200, $low + 80, 'Water pump', ['rad_bot', 'stat']);
        foreach (['left' => 0.0, 'right' => -80.0] as $side => $dx) {
            $name = ucfirst($side);
            $this->node(
                "{$side}_low",
                $x - 40 + $dx,
                $low,
                "{$name} plug",
                $side === 'left' ? [] : ['left_low'],
                $side === 'left' ? 'Block plug' : null,
            );
            $this->node("{$side}_mid", $x + $dx, $low + 0.4 * ($top - $low), "{$name} bank", ['left_low', 'stat']);
            $this->node("{$side}_head", $x + $dx, $top - 70, "{$name} head", ['left_low', 'stat']);
            $this->passage("{$side}_block_low", 'pump', "{$side}_low", 620, 'block', "{$name} lower jacket");
            $this->passage("{$side}_block", 'pump', "{$side}_mid", 950, 'block', "{$name} bank");
            $this->passage("{$side}_core", "{$side}_mid", "{$side}_head", 700, 'head', "{$name} head");
            $this->passage("{$side}_out", "{$side}_head", 'stat', 160, 'head', "{$name} outlet");
            $this->port("{$side}_plug", "{$side}_low", 'drain', "{$name} block plug");
        }
        $this->node('stat', $x + 180, $top, 'Thermostat housing', ask: 'Top of the thermostat housing');
        $this->alias('head', 'left_head');
        $this->alias('blk_mid', 'left_mid');

        return $this;
    }

    /** Radiator with its two hoses and a cock, or without. */
    public function radiator(
        float $x,
        float $bottom,
        float $top,
        float $litres = 2.6,
        bool $cock = true,
        bool $thermostatAtThePump = false,
    ): self {
        $this->node('rad_top', $x, $top, 'Radiator, top', ask: 'Radiator, upper hose');
        $this->node('rad_bot', $x, $bottom, 'Radiator, bottom', ask: 'Radiator, lower hose');
        $this->passage('radiator', 'rad_top', 'rad_bot', 1000.0 * $litres, 'radiator', 'Radiator');
        $thermostatAtThePump
            ? $this->passage('lower_hose', 'pump', 'rad_bot', 420, 'hose', 'Lower radiator hose')
            : $this->passage('lower_hose', 'rad_bot', 'pump', 420, 'hose', 'Lower radiator hose');
        $this->passage('upper_hose', 'stat', 'rad_top', 360, 'hose', 'Upper radiator hose');
        // A pin, a notch or a bypass lets air by in nearly all of them (common practice, no source).
        $this->gate('thermostat', $thermostatAtThePump ? 'lower_hose' : 'upper_hose', 'thermostat', 'Thermostat', true);
        $this->facts['thermostat_far_side'] = $thermostatAtThePump ? 'lower radiator hose' : 'upper radiator hose';
        $cock
            ? $this->port('radiator_cock', 'rad_bot', 'drain', 'Radiator drain cock')
            : $this->port('hose_end', 'rad_bot', 'drain', 'Lower hose end');

        return $this;
    }

    public function cap(float $x, float $top): self
    {
        $this->node('rad_neck', $x, $top, 'Radiator neck', ['rad_top']);
        $this->passage('neck_pipe', 'rad_neck', 'rad_top', 50, 'line', 'Radiator neck');
        $this->port('neck', 'rad_neck', 'fill', 'Radiator neck');
        $this->facts += [
            'neck' => 'radiator_cap',
            'cold_level' => 'the edge of the radiator neck',
            'cold_head_mm' => 0,
        ];

        return $this;
    }

    public function tank(
        float $x,
        float $bottom,
        float $neck,
        float $litres = 1.2,
        string $label = 'Expansion tank',
    ): self {
        $this->node('tank_bot', $x, $bottom, "{$label}, underside", ['tank_neck']);
        $this->node('tank_neck', $x, $neck, "{$label}, neck", ask: "{$label}, edge of the neck");
        $this->passage('tank', 'tank_bot', 'tank_neck', 1000.0 * $litres, 'tank', $label);
        $this->passage('tank_feed', 'tank_bot', 'pump', 180, 'hose', 'Tank feed hose');
        $this->port('neck', 'tank_neck', 'fill', "{$label} neck");
        $this->facts += [
            'neck' => 'pressurised_tank',
            'cold_level' => 'the mark on the tank',
            'cold_head_mm' => -0.4 * ($neck - $bottom),
        ];

        return $this;
    }

    public function heater(float $x, float $top): self
    {
        $this->node('heater_in', $x, $top, 'Heater, upper pipe', ask: 'Heater, upper pipe');
        $this->node('heater_bot', $x - 20, $top - 170, 'Heater, bottom', ['heater_in']);
        $this->node('heater_out', $x + 50, $top - 20, 'Heater, lower pipe', ['heater_in']);
        $this->passage('heater_feed', 'head', 'heater_in', 220, 'hose', 'Heater feed hose');
        $this->passage('heater_core_a', 'heater_in', 'heater_bot', 340, 'heater', 'Heater core');
        $this->passage('heater_core_b', 'heater_bot', 'heater_out', 340, 'heater', 'Heater core');
        $this->passage('heater_return', 'heater_out', 'pump', 260, 'hose', 'Heater return hose');
        $this->gate('heater_valve', 'heater_feed', 'heater_valve', 'Heater valve');
        $this->outlet('front');

        return $this;
    }

    /** Long pipes under the floor from an engine behind to a heater, or a radiator, in front. */
    public function longPipes(float $from, float $to): self
    {
        $this->node(
            'pipe_hot_rear',
            $from,
            self::FLOOR_PIPE_MM,
            'Floor pipe, feed, rear',
            ask: 'Floor pipes, their lowest point',
        );
        $this->node('pipe_hot_front', $to, self::FLOOR_PIPE_MM + 10, 'Floor pipe, feed, front', ['pipe_hot_rear']);
        $this->node('pipe_ret_front', $to, self::FLOOR_PIPE_MM - 20, 'Floor pipe, return, front', ['pipe_hot_rear']);
        $this->node('pipe_ret_rear', $from, self::FLOOR_PIPE_MM - 30, 'Floor pipe, return, rear', ['pipe_hot_rear']);
        $this->passage('pipe_feed', 'pipe_hot_rear', 'pipe_hot_front', 1400, 'line', 'Floor pipe, feed');
        $this->passage('pipe_return', 'pipe_ret_front', 'pipe_ret_rear', 1400, 'line', 'Floor pipe, return');
        // What stood at the radiator's hoses now goes by the pipes.
        $this->reroute('upper_hose', 'pipe_hot_rear');
        $this->passage('front_rise', 'pipe_hot_front', 'rad_top', 260, 'hose', 'Radiator riser');
        $this->passages['lower_hose']['to'] = 'pipe_ret_front';
        $this->passage('rear_rise', 'pipe_ret_rear', 'pump', 200, 'hose', 'Pump riser');
        $this->port('pipe_plug', 'pipe_ret_rear', 'drain', 'Floor pipe joint');

        return $this;
    }

    public function bleed(string $node, string $label): self
    {
        return $this->port("bleed_{$node}", $node, 'bleed', $label);
    }

    /** The block filled through the upper hose, pulled off at the thermostat. */
    public function upperHoseEnd(): self
    {
        return $this->port('upper_end', 'stat', 'fill', 'Upper hose, pulled off');
    }

    public function electricPump(): self
    {
        $this->nodes['pump']->label = 'Electric coolant pump';

        return $this;
    }

    public function rearHeater(): void
    {
        $back = -0.85 * $this->wheelbaseMm;
        $this->node('rear_floor_hot', -600, self::FLOOR_PIPE_MM, 'Rear pipe, feed, front', ['rear_low']);
        $this->node(
            'rear_low',
            $back,
            self::FLOOR_PIPE_MM,
            'Rear pipe, feed, rear',
            ask: 'Rear heater pipes, their lowest point',
        );
        $this->node('rear_in', $back - 100, 720, 'Rear heater, upper pipe', ask: 'Rear heater, upper pipe');
        $this->node('rear_bot', $back - 150, 530, 'Rear heater, bottom', ['rear_in']);
        $this->node('rear_out', $back - 200, 700, 'Rear heater, lower pipe', ['rear_in']);
        $this->node('rear_ret', $back, self::FLOOR_PIPE_MM - 40, 'Rear pipe, return, rear', ['rear_low']);
        $this->node('rear_floor_ret', -560, self::FLOOR_PIPE_MM - 40, 'Rear pipe, return, front', ['rear_low']);
        $this->passage('rear_drop', 'head', 'rear_floor_hot', 200, 'hose', 'Rear heater feed');
        $this->passage('rear_pipe', 'rear_floor_hot', 'rear_low', 620, 'line', 'Rear heater pipe, feed');
        $this->passage('rear_riser', 'rear_low', 'rear_in', 140, 'hose', 'Rear heater riser');
        $this->passage('rear_core_a', 'rear_in', 'rear_bot', 330, 'heater', 'Rear heater core');
        $this->passage('rear_core_b', 'rear_bot', 'rear_out', 330, 'heater', 'Rear heater core');
        $this->passage('rear_fall', 'rear_out', 'rear_ret', 140, 'hose', 'Rear heater downpipe');
        $this->passage('rear_back_pipe', 'rear_ret', 'rear_floor_ret', 620, 'line', 'Rear heater pipe, return');
        $this->passage('rear_back', 'rear_floor_ret', 'pump', 210, 'hose', 'Rear heater return');
        $this->outlet('rear');
    }

    public function blockPlug(): void
    {
        if (isset($this->nodes['blk_low'])) {
            $this->nodes['blk_low']->ask = 'Block plug';
            $this->port('block_plug', 'blk_low', 'drain', 'Block plug');
        }
    }

    /** A hump in the heater hose with a bleed point on it. */
    public function tee(): void
    {
        $in = $this->nodes['heater_in'];
        $this->node(
            'tee',
            $in->x + 130,
            $in->z + 40,
            'Tee in the heater hose',
            ['heater_in'],
            'Tee in the heater hose',
        );
        $this->passages['heater_feed']['to'] = 'tee';
        $this->passage('heater_feed2', 'tee', 'heater_in', 60, 'hose', 'Heater feed hose');
        $this->bleed('tee', 'Tee in the heater hose');
    }

    public function cooler(): void
    {
        $mid = $this->nodes[$this->real('blk_mid')];
        $this->node('cooler_in', $mid->x - 90, $mid->z + 10, 'Oil cooler, in', [$this->real('blk_mid')]);
        $this->node('cooler_out', $mid->x - 110, $mid->z - 90, 'Oil cooler, out', [$this->real('blk_mid')]);
        $this->passage('cooler_feed', 'blk_mid', 'cooler_in', 80, 'hose', 'Oil cooler hose');
        $this->passage('oil_cooler', 'cooler_in', 'cooler_out', 350, 'cooler', 'Oil cooler');
        $this->passage('cooler_return', 'cooler_out', 'pump', 90, 'hose', 'Oil cooler return');
    }

    public function secondLoop(): void
    {
        $top = $this->nodes['rad_top'];
        $this->node('loop_low', $top->x + 60, $this->nodes['rad_bot']->z + 20, 'Second cooler, bottom', [
            'rad_bot',
            'rad_top',
        ]);
        $this->node('loop_high', $top->x + 60, $top->z - 40, 'Second cooler, top', ['rad_bot', 'rad_top']);
        $this->passage('loop_feed', 'pump', 'loop_low', 260, 'hose', 'Second loop, feed');
        $this->passage('loop_cooler', 'loop_low', 'loop_high', 700, 'cooler', 'Second cooler');
        $this->passage('loop_return', 'loop_high', 'rad_top', 200, 'hose', 'Second loop, return');
    }

    public function recoveryBottle(): void
    {
        $this->facts['cold_level'] = 'the edge of the radiator neck, and between the marks of the recovery bottle';
    }

    public function ventLine(): void
    {
        if (isset($this->nodes['tank_neck'])) {
            $this->passage('vent_line', 'rad_top', 'tank_neck', 40, 'line', 'Vent line');
        }
    }

    /** @param  list<string>  $follows  nodes between whose heights it stands */
    public function node(string $id, float $x, float $z, string $label, array $follows = [], ?string $ask = null): self
    {
        $this->nodes[$id] = new SketchNode($x, $z, $label, $follows, $ask);

        return $this;
    }

    public function passage(string $id, string $from, string $to, float $ml, string $kind, string $label): self
    {
        $this->passages[$id] = [
            'from' => $this->real($from),
            'to' => $this->real($to),
            'ml' => $ml,
            'kind' => $kind,
            'label' => $label,
        ];

        return $this;
    }

    public function gate(string $id, string $passage, string $kind, string $label, bool $weeps = false): self
    {
        $this->gates[$id] = ['passage' => $passage, 'kind' => $kind, 'label' => $label, 'weeps' => $weeps];

        return $this;
    }

    public function port(string $id, string $node, string $kind, string $label): self
    {
        $this->ports[$id] = ['node' => $this->real($node), 'kind' => $kind, 'label' => $label];

        return $this;
    }

    public function fact(string $name, mixed $value): self
    {
        $this->facts[$name] = $value;

        return $this;
    }

    public function outlet(string $name): self
    {
        $this->facts['outlets'] = [...(array) $this->facts['outlets'], $name];

        return $this;
    }

    private function reroute(string $passage, string $to): void
    {
        $this->passages[$passage]['to'] = $to;
    }

    /** @var array<string, string> */
    private array $aliases = [];

    /** A node that another stands for here, so that parts fit any engine. */
    private function alias(string $id, string $node): void
    {
        $this->aliases[$id] = $node;
    }

    private function real(string $id): string
    {
        return $this->aliases[$id] ?? $id;
    }
}
