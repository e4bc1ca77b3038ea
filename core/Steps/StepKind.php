<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Stores\ShelfLine;

/**
 * A kind of step: what it asks, why, what it warns of, when it may be finished and what its numbers mean. A new kind is
 * one class here, listed in StepCatalogue; the rest of the application knows no kind by name.
 */
abstract class StepKind
{
    /** No vessel takes more out of a circuit, or puts more in, than this share of its capacity. */
    private const MOST_AT_ONCE = 1.5;

    /** The name steps are stored under. */
    abstract public function name(): string;

    abstract public function title(Situation $at): string;

    abstract public function why(Situation $at): string;

    /** @return list<string> what to do, in order */
    abstract public function instructions(Situation $at): array;

    /** @return list<Form> what may be entered, the one most likely next first */
    abstract public function forms(Situation $at): array;

    /** @return list<Obstacle> */
    abstract public function obstacles(Situation $at): array;

    /** @return list<Hazard> */
    public function hazards(Situation $at): array
    {
        return [];
    }

    public function figure(Situation $at): ?Figure
    {
        return null;
    }

    public function judge(Situation $at): ?Verdict
    {
        return null;
    }

    public function clock(Situation $at): ?Clock
    {
        return null;
    }

    /**
     * Refuses an entry for what it says, before it is stored.
     *
     * @param  array<string, mixed>  $values
     *
     * @throws InvalidField
     */
    public function admit(Situation $at, string $form, array $values): void
    {
    }

    /**
     * What is kept of an entry besides what was typed, such as the strength of a container at that moment.
     *
     * @param  array<string, mixed>  $values
     * @return array<string, mixed>
     */
    public function complete(Situation $at, string $form, array $values): array
    {
        return $values;
    }

    /** @return list<Line> what an entry moves into or out of the circuit */
    public function ledger(Situation $at, Entry $entry): array
    {
        return [];
    }

    /** @return list<Step> steps that finishing this one orders, placed right after it */
    public function orders(Situation $at): array
    {
        return [];
    }

    /** Whether this kind looks at the shop's stores, or its entries move anything on the shelf. */
    public function usesShelf(): bool
    {
        return false;
    }

    /** @return list<ShelfLine> what an entry takes from the shop's shelf or puts there */
    public function shelf(Situation $at, Entry $entry): array
    {
        return [];
    }

    /** @return list<Table> numbers worked out for this step, side by side */
    public function tables(Situation $at): array
    {
        return [];
    }

    /** @return list<Step> steps whose photographs come back beside those taken here */
    public function comparedWith(Situation $at): array
    {
        return [];
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 5.0;
    }

    public function waitingMinutes(Step $step, Choices $input): float
    {
        return 0.0;
    }

    /** @return array<string, string> port states this step has brought about: port => open|running|closed */
    public function ports(Situation $at): array
    {
        return [];
    }

    /** The port this step is about, marked in the elevation view. */
    public function port(Step $step): ?string
    {
        return $step->params['port'] ?? null;
    }

    /** How a point is reached: what comes off first, then where it sits; null when nothing is known of it. */
    protected function access(Situation $at, Port $port): ?string
    {
        $off = array_map(fn (string $cover) => mb_strtolower($at->circuit()->covers[$cover]->label), $port->behind);

        return $off === [] && $port->access === '' ? null : ($off === [] ? '' : 'Off first: '.implode(', ', $off).'. ').($port->access === '' ? '' : "Access: {$port->access}.");
    }

    /**
     * A volume with the vessel it was read in.
     *
     * @return list<Field>
     */
    protected function vesselFields(Situation $at, string $name, string $label, string $default): array
    {
        return [Field::volume($name, $label, self::MOST_AT_ONCE * $at->circuit()->capacityMl()), Field::choice('vessel', 'Read in', $at->rules()->vesselChoices(), $default)];
    }
}
