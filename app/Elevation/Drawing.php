<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Runs;

/**
 * The elevation view as geometry: the vehicle from its left, and its
 * circuit to scale with coolant and air where the runs put them.
 */
final readonly class Drawing
{
    public Scale $scale;

    /** @var list<Body> */
    public array $bodies;

    public Tubes $tubes;

    public Silhouette $vehicle;

    /** @var list<PlacedPort> */
    public array $ports;

    /** @var list<array{float, float, float}> arrows along which air leaves: x, y, and degrees turned */
    public array $airway;

    /**
     * @param  ?Runs  $runs  null for a dry outline
     * @param  list<PocketLabel>  $pockets  named beside the passage that holds most of each
     * @param  list<string>  $open  ports through which air leaves just now
     * @param  bool  $tall  whether it fills a column that is taller than wide
     */
    public function __construct(
        private Circuit $circuit,
        ?Runs $runs,
        float $noseLiftMm = 0.0,
        private array $pockets = [],
        bool $tall = false,
        array $open = [],
    ) {
        $this->scale = new Scale($circuit, $noseLiftMm, $tall);
        $this->bodies = (new Bodies($circuit, $this->scale, $runs))->all();
        $this->tubes = new Tubes($circuit, $this->scale, $runs, $this->bodies);
        $this->ports = (new Points($circuit, $this->scale, $this->bodies))->all();
        $this->airway
            = $runs === null || $open === [] ? [] : (new Airway($circuit, $this->scale, $runs, $open))->arrows();
        $this->vehicle = new Silhouette($circuit, $this->scale, $this->bodies);
    }

    /** @return array<string, array{float, float}> where each node stands */
    public function nodes(): array
    {
        return array_map(fn ($node) => $this->scale->node($node->id), $this->circuit->nodes);
    }

    /** Height of the cold level. */
    public function datum(): float
    {
        return $this->scale->y(
            $this->circuit->heightMm($this->circuit->fillPort()->node) + $this->circuit->facts->coldHeadMm,
        );
    }

    /** @return list<Label> names of bodies, of the air, and of the cold level */
    public function labels(): array
    {
        return (new Labels(
            $this->circuit,
            $this->scale,
            $this->bodies,
            array_merge(...$this->tubes->groups),
            $this->ports,
            $this->pockets,
            $this->datum(),
        ))->all();
    }
}
