<?php

declare(strict_types=1);

namespace App\Run;

use App\Elevation\Picture;
use App\Models\Job;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\NoseUp;
use Aqbel\Core\Plan\Vents;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepKind;

/** The circuit beside a step: what the ledger says stands where, the step's own point, and where air still leaves. */
final readonly class CircuitNow
{
    /** Less air than this in a passage is not named, mL. */
    private const HARDLY_ML = 60.0;

    private const SHOWN_POCKETS = 3;

    /** Where air leaves, and in what order, while it is filled; null where it does not leave by itself. */
    private ?Vents $vents;

    /** @param  bool  $inHand  whether the step is worked on, not looked back or ahead at */
    public function __construct(
        private Job $job,
        private JobState $state,
        private Step $step,
        private StepKind $kind,
        private UnitSystem $units,
        bool $inHand,
    ) {
        $this->vents = $inHand && $step->stage === Stage::Fill && $kind->does(Does::Fills)
            ? Vents::of($state, $job->summary->ports ?? [])
            : null;
    }

    /**
     * Whether what the step predicts hangs on how well heights are
     * known: where air is let out, and filled up after it.
     */
    public function hangsOnHeights(): bool
    {
        return $this->step->stage === Stage::Fill && ! isset($this->state->closed[$this->step->id]);
    }

    /** “Air leaves next at Heater bleed screw, when 1.20 L more is in; then at …”; empty where it does not. */
    public function airLeaves(): string
    {
        $next = $this->vents->next ?? [];
        if ($next === []) {
            return '';
        }
        $label = fn (PortRun $run): string => $this->state->circuit->ports[$run->port]->label;
        $then = array_map($label, array_slice($next, 1));

        return "Air leaves next at {$label($next[0])}, "
            .($next[0]->atMl > 0.0
                ? 'when '.$this->units->format($next[0]->atMl, Dimension::Volume).' more is in'
                : 'any moment now')
            .($then === [] ? '.' : '; then at '.implode(', ', $then).'.');
    }

    public function picture(): Picture
    {
        $circuit = $this->state->circuit;
        $summary = $this->job->summary; // parsed each time it is asked for
        $runs = $summary?->runs();
        $air = $runs === null || $this->kind->does(Does::Fills)
            ? []
            : $runs->trapped($circuit)->above(self::HARDLY_ML)->byPart($circuit);

        return new Picture(
            $circuit,
            $runs,
            NoseUp::mm($this->state),
            states: $summary->ports ?? [],
            focus: $this->kind->port($this->step),
            notes: $this->howToReach(),
            units: $this->units,
            tall: true,
            air: array_slice($air, 0, self::SHOWN_POCKETS),
            open: $this->vents->open ?? [],
            next: $this->vents->next[0]->port ?? null,
        );
    }

    /** @return array<string, string> how the step's own point is reached and closed, by port */
    private function howToReach(): array
    {
        $port = $this->state->circuit->ports[$this->kind->port($this->step) ?? ''] ?? null;
        if ($port === null) {
            return [];
        }
        $torque = $port->torqueNm === null ? '' : $this->units->format($port->torqueNm, Dimension::Torque);

        return [$port->id => implode(' · ', array_filter([$port->access, $port->tool, $torque, $port->washer]))];
    }
}
