<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Mixing\RinseChain as Chain;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Drain\Drain;
use Aqbel\Core\Steps\Drain\Reconcile;
use Aqbel\Core\Steps\StepKind;

/** Stage 3: rinse when dirty, mixed or changing family; skip when clean. The cycles decided on follow as steps of their own. */
final class Rinse extends StepKind
{
    private const WAYS = ['skip' => 'Skip it', 'hot' => 'Hot rinse', 'flow' => 'Cold flow-through', 'cleaner' => 'Rinse, cleaner, rinse', 'backflush' => 'Back-flush, then rinse'];

    private const MOST = 6;

    /** A circuit from which nothing came is not clean: it asks for rinses without end, and so for a drain. */
    private const HARDLY_DRAINED = 0.99;

    /** Hands of one cycle, in minutes (common practice, no source). */
    private const HANDS_EACH = 33.0;

    public function name(): string
    {
        return 'rinse';
    }

    public function title(Situation $at): string
    {
        return 'Rinse, or skip it';
    }

    public function why(Situation $at): string
    {
        return 'What stays in dilutes the new fill, so a rinse that is not needed does harm. '.$this->reason($at);
    }

    public function instructions(Situation $at): array
    {
        return [
            'Clean coolant, same family: skip.',
            'Hot rinse: water in, heater full hot, A/C off, warm until the thermostat opens, cool, drain. '.RinseRun::warning($at),
            'Cold flow-through: water in at the top, drains and vents open, no warm-up. '.RinseFlow::leaves($at),
            'Cleaner: the dirt is rinsed out first, then the cleaner as its label says, then every trace of it. Rust that keeps coming: back-flush radiator and heater core, each on its own.',
            'The last rinse with distilled or deionised water. Rinse water is waste too.',
        ];
    }

    public function forms(Situation $at): array
    {
        $needed = $this->needed($at)->rinses;
        $further = Reconcile::choices($at);

        return array_filter([
            new Form('decision', 'Decide', [
                Field::choice('rinse', 'Decision', self::WAYS, match (true) {
                    $needed === 0 => 'skip', $this->seen($at) === 'oily' => 'cleaner', default => 'hot'
                }),
                Field::choice('times', 'Times', array_combine($times = array_map(strval(...), range(1, self::MOST)), $times), (string) max(1, min(self::MOST, $needed))),
            ]),
            $further === [] || $needed === 0 ? null : new Form('more', 'Open one more drain first', [Field::choice('point', 'Point', $further, array_key_first($further))], false),
        ]);
    }

    public function obstacles(Situation $at): array
    {
        $decision = $at->last('decision');

        return match (true) {
            $at->has('more') => [],
            $decision === null => [Obstacle::missing('Decide whether to rinse.')],
            $decision->text('rinse') === 'skip' && $this->needed($at)->rinses > 0 => [Obstacle::missing('Old coolant must not stay in this one. Rinse, or give a reason for skipping.')],
            default => [],
        };
    }

    public function figure(Situation $at): Figure
    {
        $target = $this->target($at);

        return new Figure('Old coolant, were it full now', $at->job->ledgerBefore(Stage::CloseUp)->oldShare(), Unit::Percent, Figure::PREDICTED, $target, 'may stay');
    }

    public function judge(Situation $at): Verdict
    {
        $needed = $this->needed($at);
        if ($needed->rinses === 0) {
            $target = $this->target($at);

            return Verdict::pass('No rinse needed', $target === null ? $this->reason($at)
                : "{$at->say($at->job->ledgerBefore(Stage::CloseUp)->oldShare(), Unit::Percent)} of the full circuit would be old coolant; {$at->say($target, Unit::Percent)} may stay. The drain alone does it.");
        }
        $decided = $at->last('decision');
        $cold = $decided?->text('rinse') === 'flow' ? ' Cold, it mixes only where water runs: '.RinseFlow::leaves($at) : '';
        $times = $decided === null || $decided->text('rinse') === 'skip' ? $needed->rinses : (int) $decided->text('times');

        return Verdict::wait("{$needed->rinses} × rinse", "{$this->reason($at)} After {$times} it is {$at->say($this->after($at, $times), Unit::Percent)}, if the thermostat opens each time.{$cold}");
    }

    public function tables(Situation $at): array
    {
        $target = $this->target($at);
        if ($target === null || $this->needed($at)->rinses === 0) {
            return [];
        }
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);
        $full = $ledger->capacityMl - $ledger->headspaceMl;
        $row = function (string $label, Chain $chain) use ($at): array {
            return [$label, (string) $chain->rinses, $at->litres($chain->waterMl), $at->say($chain->oldFraction, Unit::Percent), sprintf('%d h %02d', intdiv($minutes = (int) ($chain->rinses * RinseRun::CYCLE_MINUTES), 60), $minutes % 60)];
        };
        $rows = [$row('As it is drained now', $this->needed($at))];
        foreach (Drain::notOpened($at) as $port) {
            $keeps = max(0.0, $ledger->contentMl - (float) $at->job->plan->predicted['further'][$port]['volume_ml']);
            $old = $ledger->contentMl > 0.0 ? $ledger->oldShare() * $keeps / $ledger->contentMl : 0.0;
            $rows[] = $row("{$at->circuit()->port($port)->label} opened too", Chain::from($old, $keeps / $full, $full, $target));
        }

        return [new Table('To '.$at->say($target, Unit::Percent).' old coolant', ['Way', 'Rinses', 'Water', 'Old left', 'Time'], $rows)];
    }

    public function orders(Situation $at): array
    {
        $more = $at->last('more')?->text('point');
        if ($more !== null && in_array($more, Drain::notOpened($at), true)) {
            return [Drain::further($at, $more), new Step('rinse:'.(1 + count($at->job->stepsOf('rinse'))), 'rinse', Stage::Rinse)];
        }
        $decision = $at->last('decision');
        $plain = array_fill(0, max(1, (int) $decision?->text('times')), RinseFill::WATER);

        return match ($decision?->text('rinse')) {
            'hot' => RinseFill::cycle($at, $plain),
            'cleaner' => RinseFill::cycle($at, [RinseFill::WATER, RinseFill::CLEANER, ...$plain]),
            'backflush' => [new Step('back_flush', 'back_flush', Stage::Rinse), ...RinseFill::cycle($at, $plain)],
            'flow' => [new Step('rinse_flow', 'rinse_flow', Stage::Rinse)],
            default => [],
        };
    }

    /** Records from before the cycles were steps of their own hold their water here. */
    public function ledger(Situation $at, Entry $entry): array
    {
        $ml = $entry->number('volume') ?? 0.0;
        $unsure = $at->rules()->plusMinusMl($entry->text('vessel'));

        return match ($entry->form) {
            'water_in' => [new Line('Rinse water in', $ml, $unsure, 0.0)],
            'water_out' => [new Line('Rinse water out', -$ml, $unsure, null)],
            default => [],
        };
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 1.0 + self::HANDS_EACH * (int) ($step->params['rinses'] ?? 0);
    }

    public function waitingMinutes(Step $step, Choices $input): float
    {
        return (RinseRun::CYCLE_MINUTES - self::HANDS_EACH) * (int) ($step->params['rinses'] ?? 0);
    }

    /** The old coolant's share that may stay; null where any may. */
    public function target(Situation $at): ?float
    {
        $gel = $this->seen($at) === 'gel' || $at->job->lastOf('jar_test', 'jar')?->text('jar') === 'gel';

        return $gel ? Compatibility::AFTER_GEL : ($at->job->plan->input->compatibility()->oldShareAllowed($at->rules()->oldShare) ?? ($this->dirty($at) ? $at->rules()->oldShare : null));
    }

    private function needed(Situation $at): Chain
    {
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);
        $full = $ledger->capacityMl - $ledger->headspaceMl;
        $keeps = max(0.0, $ledger->contentMl / $full);
        // Dirt is rinsed at least once, however little of the old coolant is left.
        $target = min($this->target($at) ?? 1.0, $this->dirty($at) ? 0.999 * $ledger->oldShare() : 1.0);

        return Chain::from($ledger->oldShare(), min(self::HARDLY_DRAINED, $keeps), $full, max(1.0e-6, $target));
    }

    private function after(Situation $at, int $times): float
    {
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);

        return $ledger->oldShare() * max(0.0, $ledger->contentMl / ($ledger->capacityMl - $ledger->headspaceMl)) ** $times;
    }

    private function reason(Situation $at): string
    {
        $seen = ['rusty' => 'Rust came out.', 'oily' => 'Oil came out: flush until no film is left.', 'gel' => 'Gel came out: two coolants that must never meet.', 'debris' => 'Debris came out.'];

        return $seen[$this->seen($at)] ?? ($at->job->lastOf('jar_test', 'jar')?->text('jar') === 'gel' ? 'In the jar the two set to gel.' : $at->job->plan->input->compatibility()->reason());
    }

    private function dirty(Situation $at): bool
    {
        return ! in_array($this->seen($at), ['', 'clean'], true);
    }

    private function seen(Situation $at): string
    {
        return $at->job->lastOf('look', 'seen')?->text('coolant') ?? '';
    }
}
