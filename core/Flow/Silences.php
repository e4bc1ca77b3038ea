<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/** Looks at a pour that has come to its end: what kept each open port from running. */
final readonly class Silences
{
    public function __construct(private Mesh $mesh, private Pour $pour)
    {
    }

    /**
     * @param  list<string>  $open  ports that were left open
     * @return list<SilentPort>
     */
    public function of(array $open): array
    {
        $ran = array_column($this->pour->flows, 'port');
        $at = [];
        $silent = [];
        foreach ($open as $port) {
            $cell = $this->mesh->portCell($port, 'open');
            $instead = $at[$cell] ?? null;
            $at[$cell] ??= $port;
            if ($instead !== null) {
                $silent[] = new SilentPort($port, Silence::Shared, 0.0, $instead);
            } elseif ($cell !== $this->pour->source && ! in_array($port, $ran, true)) {
                $silent[] = $this->why($port, $cell);
            }
        }

        return $silent;
    }

    private function why(string $port, int $cell): SilentPort
    {
        $missing = $this->mesh->height[$cell] - $this->pour->surface;
        if ($missing > 0.0) {
            return new SilentPort($port, Silence::Above, $missing);
        }
        $air = $this->airBefore($cell);
        if ($air === null) {
            return new SilentPort($port, Silence::CutOff, 0.0);
        }
        $nodes = array_intersect($this->mesh->nodeCell, $air);
        uasort($nodes, fn (int $a, int $b) => $this->mesh->height[$b] <=> $this->mesh->height[$a]);
        $hump = array_key_first($nodes);

        return $hump === null
            ? new SilentPort($port, Silence::Trapped, 0.0, $this->mesh->passageOf[$air[0]])
            : new SilentPort($port, Silence::Hump, 0.0, $hump);
    }

    /** @return ?non-empty-list<int> cells of the trapped air that is met first on the way from a port to the coolant */
    private function airBefore(int $port): ?array
    {
        $seen = [$port => true];
        $ways = [$port];
        for ($i = 0; $i < count($ways); $i++) {
            if ($this->pour->state[$ways[$i]] === Filling::TRAPPED) {
                return $this->pocketOf($ways[$i]);
            }
            foreach ($this->mesh->neighbours[$ways[$i]] as $next) {
                if (! isset($seen[$next])) {
                    $seen[$next] = true;
                    $ways[] = $next;
                }
            }
        }

        return null;
    }

    /** @return non-empty-list<int> */
    private function pocketOf(int $cell): array
    {
        $pocket = [$cell];
        $seen = [$cell => true];
        for ($i = 0; $i < count($pocket); $i++) {
            foreach ($this->mesh->neighbours[$pocket[$i]] as $next) {
                if ($this->pour->state[$next] === Filling::TRAPPED && ! isset($seen[$next])) {
                    $seen[$next] = true;
                    $pocket[] = $next;
                }
            }
        }

        return $pocket;
    }
}
