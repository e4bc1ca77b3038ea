<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Volumes;

/** Where coolant and air stand in a whole circuit, as stretches of each passage. */
final readonly class Runs
{
    /** @param  array<string, list<Run>>  $byPassage */
    public function __construct(private array $byPassage = [])
    {
    }

    /** @return list<Run> */
    public function of(string $passage): array
    {
        return $this->byPassage[$passage] ?? [];
    }

    /** Air that cannot leave by itself, by passage. */
    public function trapped(Circuit $circuit): Volumes
    {
        return $this->volumes($circuit, CellState::Trapped);
    }

    /** Coolant, by passage. */
    public function coolant(Circuit $circuit): Volumes
    {
        return $this->volumes($circuit, CellState::Coolant);
    }

    private function volumes(Circuit $circuit, CellState $of): Volumes
    {
        $ml = [];
        foreach ($this->byPassage as $passage => $runs) {
            foreach ($runs as $run) {
                if ($run->state === $of && isset($circuit->passages[$passage])) {
                    $ml[$passage]
                        = ($ml[$passage] ?? 0.0) + ($run->to - $run->from) * $circuit->passages[$passage]->volumeMl;
                }
            }
        }

        return new Volumes($ml);
    }

    /** The circuit as it should stand in the end: what is trapped here is coolant there. */
    public function withoutTrappedAir(): self
    {
        $coolant = fn (Run $run): Run => new Run(
            $run->from,
            $run->to,
            $run->state === CellState::Trapped ? CellState::Coolant : $run->state,
        );

        return new self(array_map(fn (array $runs) => array_map($coolant, $runs), $this->byPassage));
    }

    /** @return array<string, list<array{float, float, int}>> as it is stored */
    public function toArray(): array
    {
        return array_map(
            fn (array $runs) => array_map(fn (Run $run) => [$run->from, $run->to, $run->state->value], $runs),
            $this->byPassage,
        );
    }

    /**
     * As it was stored; what is no run is left out.
     *
     * @param  array<mixed>  $data
     */
    public static function fromArray(array $data): self
    {
        $byPassage = [];
        foreach ($data as $passage => $runs) {
            foreach (is_array($runs) ? $runs : [] as $run) {
                if (is_array($run) && count($run) === 3 && array_filter($run, is_numeric(...)) === $run) {
                    [$from, $to, $state] = array_values($run);
                    $byPassage[(string) $passage][] = new Run(
                        (float) $from,
                        (float) $to,
                        CellState::tryFrom((int) $state) ?? CellState::Air,
                    );
                }
            }
        }

        return new self($byPassage);
    }
}
