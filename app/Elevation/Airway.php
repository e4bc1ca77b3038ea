<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\AirRoutes;
use Aqbel\Core\Flow\CellState;
use Aqbel\Core\Flow\Run;
use Aqbel\Core\Flow\Runs;

/** Small arrows along what is still dry, towards the point at which its air leaves. */
final readonly class Airway
{
    /** A dry stretch that is drawn shorter than this has no room for an arrow. */
    private const SHORTEST = 18.0;

    /** @param  list<string>  $open  ports through which air can leave */
    public function __construct(private Circuit $circuit, private Scale $scale, private Runs $runs, private array $open)
    {
    }

    /** @return list<array{float, float, float}> x, y, and degrees clockwise from pointing to the right */
    public function arrows(): array
    {
        $arrows = [];
        foreach (AirRoutes::of($this->circuit, $this->runs, $this->open) as $id => $route) {
            $passage = $this->circuit->passages[$id];
            $to = $route->towards === $passage->to;
            $dry = array_filter($this->runs->of($id), fn (Run $run) => $run->state === CellState::Air);
            $run = $to ? end($dry) : reset($dry);
            if ($run === false) {
                continue;
            }
            [$a, $b] = [$this->scale->node($passage->from), $this->scale->node($passage->to)];
            [$dx, $dy] = [$b[0] - $a[0], $b[1] - $a[1]];
            if (($run->to - $run->from) * hypot($dx, $dy) >= self::SHORTEST) {
                $middle = ($run->from + $run->to) / 2.0;
                $arrows[] = [
                    round($a[0] + $middle * $dx, 1),
                    round($a[1] + self::eased($middle) * $dy, 1),
                    round(rad2deg($to ? atan2($dy, $dx) : atan2(-$dy, -$dx))),
                ];
            }
        }

        return $arrows;
    }

    /** How far a tube has gone down when it has gone so far along: it leaves and arrives level. */
    private static function eased(float $along): float
    {
        return $along * $along * (3.0 - 2.0 * $along);
    }
}
