<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Inventory;

/** A job as its journal tells it: the one fold behind screen, record and export. */
final class JobState
{
    /** Journal forms that belong to every step. */
    public const FINISH = 'finish';

    public const OVERRIDE = 'override';

    public const ACKNOWLEDGE = 'acknowledge';

    /** A photograph, at any step. */
    public const PHOTO = 'photo';

    private const OF_EVERY_STEP = [self::FINISH, self::OVERRIDE, self::ACKNOWLEDGE, self::PHOTO];

    /** @var array<string, Step> in order, steps ordered by findings included */
    public readonly array $steps;

    /** @var array<string, Entry> the entry that closed each finished step */
    public readonly array $closed;

    /** @var list<Entry> */
    public readonly array $entries;

    /** @var array<string, list<Entry>> */
    private readonly array $byStep;

    /** @var array<int, Ledger> worked out so far, by the stage they end before; 99 for the whole */
    private array $ledgers = [];

    public function __construct(public readonly Circuit $circuit, public readonly Plan $plan, public readonly Journal $journal)
    {
        $steps = [];
        foreach ($plan->steps as $step) {
            $steps[$step->id] = $step;
        }
        [$closed, $byStep] = [[], []];
        $this->entries = $journal->effective();
        foreach ($this->entries as $entry) {
            if ($entry->form === self::FINISH || $entry->form === self::OVERRIDE) {
                $closed[$entry->step] = $entry;
                $steps = self::insertAfter($steps, $entry->step, array_values(array_map(Step::fromArray(...), $entry->values['orders'] ?? [])));
            } elseif ($entry->form !== self::ACKNOWLEDGE) {
                $byStep[$entry->step][] = $entry;
            }
        }
        $this->steps = $steps;
        $this->closed = $closed;
        $this->byStep = $byStep;
    }

    /** The first step not yet finished; null when all are. */
    public function stepInHand(): ?Step
    {
        foreach ($this->steps as $id => $step) {
            if (! isset($this->closed[$id])) {
                return $step;
            }
        }

        return null;
    }

    /** @return list<Entry> */
    public function entriesOf(string $step, ?string $form = null): array
    {
        $entries = $this->byStep[$step] ?? [];

        return $form === null ? $entries : array_values(array_filter($entries, fn (Entry $e) => $e->form === $form));
    }

    /**
     * Photographs taken at a step, or in the whole job.
     *
     * @return list<Entry>
     */
    public function photos(?string $step = null): array
    {
        return array_values(array_filter($this->entries, fn (Entry $e) => $e->form === self::PHOTO && ($step === null || $e->step === $step)));
    }

    /** The last entry of one form in any step of a kind, the way findings are looked up by later steps. */
    public function lastOf(string $kind, string $form): ?Entry
    {
        $last = null;
        foreach ($this->stepsOf($kind) as $step) {
            $entries = $this->entriesOf($step->id, $form);
            $last = $entries === [] ? $last : $entries[count($entries) - 1];
        }

        return $last;
    }

    /** @return list<Step> */
    public function stepsOf(string $kind): array
    {
        return array_values(array_filter($this->steps, fn (Step $s) => $s->kind === $kind));
    }

    /** When the engine last ran in this job, Unix seconds; null when it has not. */
    public function lastRan(): ?int
    {
        $ran = null;
        foreach ([...$this->stepsOf('baseline'), ...$this->stepsOf('rinse_run'), ...$this->stepsOf('heat_cycle'), ...$this->stepsOf('drive')] as $step) {
            foreach ($this->entriesOf($step->id) as $entry) {
                if ($entry->form !== self::PHOTO && $entry->text('ran') !== 'no') {
                    $ran = max($ran ?? 0, $entry->at);
                }
            }
        }

        return $ran;
    }

    /** The job as it stood when this step was in hand: what later steps wrote, and ordered, is not in it. */
    public function asAt(Step $step): self
    {
        $order = array_flip(array_keys($this->steps));
        $at = $order[$step->id];
        $lines = array_filter($this->journal->lines, fn (Entry $line) => ($order[$line->step] ?? $at + 1) < $at
            || ($line->step === $step->id && $line->form !== self::FINISH && $line->form !== self::OVERRIDE));

        return new self($this->circuit, $this->plan, new Journal(array_values($lines)));
    }

    /** Whether anything that was entered has been corrected or taken back since. */
    public function wasCorrected(): bool
    {
        return array_filter($this->journal->lines, fn (Entry $line) => $line->form === Journal::CORRECT || $line->form === Journal::WITHDRAW) !== [];
    }

    /** What a step came to: as judged when it was finished, and judged again where something was corrected. */
    public function verdictOf(Step $step, int $now): ?string
    {
        $closed = $this->closed[$step->id] ?? null;
        $stored = $closed?->text('verdict');

        return $closed !== null && ! $this->wasCorrected() ? ($stored === '' ? null : $stored)
            : StepCatalogue::of($step)->judge(($closed === null ? $this : $this->asAt($step))->at($step, $now))?->verdict;
    }

    /** The nearest step of a kind before the one given. */
    public function before(Step $step, string $kind): ?Step
    {
        $found = null;
        foreach ($this->steps as $id => $other) {
            if ($id === $step->id) {
                return $found;
            }
            $found = $other->kind === $kind ? $other : $found;
        }

        return $found;
    }

    /** @return list<Step> steps before this one that are still open */
    public function openBefore(Step $step): array
    {
        $open = [];
        foreach ($this->steps as $id => $other) {
            if ($id === $step->id) {
                break;
            }
            if (! isset($this->closed[$id])) {
                $open[] = $other;
            }
        }

        return $open;
    }

    public function hasAcknowledged(string $hazard): bool
    {
        foreach ($this->entries as $entry) {
            if ($entry->form === self::ACKNOWLEDGE && $entry->text('hazard') === $hazard) {
                return true;
            }
        }

        return false;
    }

    public function ledger(): Ledger
    {
        return $this->ledgerBefore(null);
    }

    /** The ledger as the stages before the one given leave it; whole when none is given. */
    public function ledgerBefore(?Stage $stage): Ledger
    {
        return $this->ledgers[$stage->value ?? 99] ??= $this->fold($stage);
    }

    private function fold(?Stage $stage): Ledger
    {
        $lines = [];
        foreach ($this->entries as $entry) {
            $step = $this->steps[$entry->step] ?? null;
            if ($step !== null && ! in_array($entry->form, self::OF_EVERY_STEP, true) && ($stage === null || $step->stage->value < $stage->value)) {
                foreach (StepCatalogue::of($step)->ledger($this->at($step, $entry->at), $entry) as $line) {
                    $lines[] = $line;
                }
            }
        }

        return new Ledger($this->circuit->capacityMl(), (float) ($this->plan->predicted['headspace_ml'] ?? 0.0), $lines);
    }

    /** @return array<string, string> port => open|running|closed, as the steps so far leave them */
    public function ports(int $now): array
    {
        $ports = [];
        foreach ($this->steps as $step) {
            $ports = [...$ports, ...StepCatalogue::of($step)->ports($this->at($step, $now))];
        }

        return $ports;
    }

    public function at(Step $step, int $now, UnitSystem $units = UnitSystem::Metric, Inventory $stores = new Inventory): Situation
    {
        return new Situation($step, $this, $now, $units, $stores);
    }

    /**
     * @param  array<string, Step>  $steps
     * @param  list<Step>  $new
     * @return array<string, Step>
     */
    private static function insertAfter(array $steps, string $after, array $new): array
    {
        $result = [];
        foreach ($steps as $id => $step) {
            $result[$id] = $step;
            if ($id === $after) {
                foreach ($new as $added) {
                    $result[$added->id] = $added;
                }
            }
        }

        return $result;
    }
}
