<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Mixing\RinseChain;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Labour;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Findings\Coolant;
use Aqbel\Core\Steps\Findings\Drains;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Stage 3: rinse when dirty, mixed or changing family; skip when clean. The cycles decided on follow as steps of
 * their own.
 */
final class Rinse extends StepKind
{
    private const WAYS = ['skip' => 'Skip it', 'hot' => 'Hot rinse', 'flow' => 'Cold flow-through'];

    /** As they were kept before they could be combined. */
    private const WAYS_BEFORE = ['cleaner' => 'Rinse, cleaner, rinse', 'backflush' => 'Back-flush, then rinse'];

    private const CLEANER = ['' => 'Without', 'with' => 'Cleaner, and out again'];

    private const BACK_FLUSH = [
        '' => 'None', 'radiator' => 'Radiator', 'heater' => 'Heater core', 'both' => 'Radiator and heater core',
    ];

    private const SEEN = [
        'rusty' => 'Rust came out.', 'oily' => 'Oil came out: flush until no film is left.',
        'gel' => 'Gel came out: two coolants that must never meet.', 'debris' => 'Debris came out.',
    ];

    private const MOST = 6;

    /** A change that leaves more than this of the old coolant is half a change (common practice, no source). */
    private const MUCH = 0.15;

    /** A circuit from which nothing came is not clean: it asks for rinses without end, and so for a drain. */
    private const HARDLY_DRAINED = 0.99;

    /** Dirt is rinsed at least once, however little of the old coolant is left. */
    private const DIRT_ASKS_FOR_LESS = 0.999;

    private const LEAST_TARGET = 1.0e-6;

    public function name(): string
    {
        return 'rinse';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant];
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
            'Hot rinse: water in, heater full hot, A/C off, warm until the thermostat opens, '
                .'cool, drain. '.RinseRun::warning($at),
            'Cold flow-through: water in at the top, drains and vents open, no warm-up. '.RinseFlow::leaves($at),
            'Cleaner: the dirt is rinsed out first, then the cleaner as its label says, then every trace of it.'
                .' Rust that keeps coming: back-flush radiator and heater core, each on its own.',
            'The last rinse with distilled or deionised water. Rinse water is waste too.',
        ];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        $needed = $this->needed($at)->rinses;
        $further = Drains::choices($at);
        $oily = $needed > 0 && Coolant::of($at->job)->isOily();
        $decision = $this->decisionForm($at, $needed === 0 ? 'skip' : 'hot', max(1, min(self::MOST, $needed)), $oily ? 'with' : '');

        return $further === [] || $needed === 0 ? [$decision] : [$decision, self::moreForm($further)];
    }

    public function atOnce(Situation $at): ?Form
    {
        return $at->has('decision') ? null : $this->forms($at)[0];
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [$this->decisionForm($at, 'skip', 1, '', self::WAYS + self::WAYS_BEFORE), self::moreForm(Drains::everyChoice($at))];
    }

    /** Once it is decided; what the decision leaves open is an obstacle. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || ($at->has('decision') && $this->verdict($at)?->code === 'needed');
    }

    public function obstacles(Situation $at): array
    {
        $decision = $at->last('decision');

        return match (true) {
            $at->has('more') => [],
            $decision === null => [Obstacle::missing('not_decided', 'Decide whether to rinse.')],
            $decision->text('rinse') === 'skip' && $this->needed($at)
                ->rinses > 0 => [
                    Obstacle::missing(
                        'old_stays',
                        'Old coolant must not stay in this one. Rinse, or give a reason for skipping.',
                    ),
                ],
            default => [],
        };
    }

    public function figure(Situation $at): Figure
    {
        $share = $at->job->ledgerBefore(Stage::CloseUp)->oldShare();

        return new Figure(
            'Old coolant, were it full now',
            $share,
            Unit::Percent,
            Origin::Predicted,
            $this->target($at),
            'may stay',
        );
    }

    public function judge(Situation $at): Verdict
    {
        $needed = $this->needed($at);
        $chosen = $at->last('decision');
        if ($needed->rinses === 0 && $chosen !== null && $chosen->text('rinse') !== 'skip') {
            $after = $at->say($this->after($at, max(1, (int) $chosen->text('times'))), Unit::Percent);

            return Verdict::pass('chosen', 'Rinse chosen', "Not asked for by what came out. After it {$after} of "
                .'the old coolant is left.');
        }
        if ($needed->rinses === 0 && $this->changesTooLittle($at)) {
            $share = $at->say($at->job->ledgerBefore(Stage::CloseUp)->oldShare(), Unit::Percent);
            $after = $at->say($this->after($at, 1), Unit::Percent);

            return Verdict::wait(
                'much_stays',
                'Much of the old stays',
                "This is a change, and {$share} of the full circuit would be old coolant. One more drain or one "
                    ."rinse brings it to {$after}; or say that it may stay.",
            );
        }
        if ($needed->rinses === 0) {
            $target = $this->target($at);
            $share = $at->job->ledgerBefore(Stage::CloseUp)->oldShare();

            return Verdict::pass('not_needed', 'No rinse needed', $target === null ? $this->reason($at)
                : "{$at->say($share, Unit::Percent)} of the full circuit would be old coolant; "
                    ."{$at->say($target, Unit::Percent)} may stay. The drain alone does it.");
        }
        $decided = $at->last('decision');
        $cold = $decided?->text('rinse') === 'flow'
            ? ' Cold, it mixes only where water runs: '.RinseFlow::leaves($at)
            : '';
        $times = $decided === null || $decided->text('rinse') === 'skip'
            ? $needed->rinses
            : (int) $decided->text('times');
        $after = $at->say($this->after($at, $times), Unit::Percent);

        return Verdict::wait(
            'needed',
            "{$needed->rinses} × rinse",
            "{$this->reason($at)} After {$times} it is {$after}, if the thermostat opens each time.{$cold}",
        );
    }

    public function tables(Situation $at): array
    {
        $target = $this->target($at);
        if ($target === null || $this->needed($at)->rinses === 0) {
            return [];
        }
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);
        $full = $ledger->capacityMl - $ledger->headspaceMl;
        $rows = [$this->row($at, 'As it is drained now', $this->needed($at))];
        foreach (Drains::notOpened($at->job) as $further) {
            $keeps = max(0.0, $ledger->contentMl - $further->volumeMl);
            $old = $ledger->contentMl > 0.0 ? $ledger->oldShare() * $keeps / $ledger->contentMl : 0.0;
            $rows[] = $this->row(
                $at,
                "{$at->circuit()->port($further->port)->label} opened too",
                RinseChain::from($old, $keeps / $full, $full, $target),
            );
        }

        return [
            new Table(
                'To '.$at->say($target, Unit::Percent).' old coolant',
                ['Way', 'Rinses', 'Water', 'Old left', 'Time'],
                $rows,
            ),
        ];
    }

    public function orders(Situation $at): array
    {
        $more = $at->last('more');
        $point = $more === null ? null : Drains::stillShut($at->job, $more->text('point'));
        if ($point !== null) {
            return [
                Drains::further($at, $point),
                new Step('rinse:'.(1 + count($at->job->stepsOf('rinse'))), 'rinse', Stage::Rinse),
            ];
        }
        $decision = $at->last('decision');

        return $decision === null ? [] : RinsePart::first($at, self::decided($decision));
    }

    /** @return list<string> what was decided, in the order it is done: dirt first, cleaner, parts on their own, clear water */
    private static function decided(Entry $decision): array
    {
        $way = $decision->text('rinse');
        $flows = $way === 'flow';
        $plain = match ($way) {
            'skip' => [],
            'flow' => [RinsePart::FLOW],
            default => array_fill(0, max(1, (int) $decision->text('times')), RinsePart::WATER),
        };
        $cleaner = $way === 'cleaner' || $decision->text('cleaner') !== ''
            ? [$flows ? RinsePart::FLOW : RinsePart::WATER, RinsePart::CLEANER]
            : [];
        $parts = match ($way === 'backflush' ? 'both' : $decision->text('back_flush')) {
            'radiator' => [RinsePart::BACK.'radiator'],
            'heater' => [RinsePart::BACK.'heater'],
            'both' => [RinsePart::BACK.'radiator', RinsePart::BACK.'heater'],
            default => [],
        };

        return [...$cleaner, ...$parts, ...$plain];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($values->text('rinse') === 'skip' && $values->text('cleaner') !== '') {
            throw new InvalidField('rinse', 'A cleaner has to come out again: choose a hot rinse or a flow-through with it.');
        }
    }

    /** Records from before the cycles were steps of their own hold their water here. */
    public function ledger(Situation $at, Entry $entry): array
    {
        return RinseWater::lines($entry, self::plusMinusMl($at, $entry));
    }

    public function labour(Step $step, Choices $choices): Minutes
    {
        $cycle = $choices->rules->labour->of(Labour::RINSE_CYCLE);

        return parent::labour($step, $choices)->plus($cycle->times($step->params->whole('rinses')));
    }

    /** The old coolant's share that may stay; null where any may. */
    public static function target(Situation $at): ?float
    {
        $coolant = Coolant::of($at->job);
        $rule = Plan::of($at)->rules()->oldShare;
        if ($coolant->gels()) {
            return Compatibility::AFTER_GEL;
        }

        return Plan::of($at)->choices->content->oldShareAllowed($rule) ?? ($coolant->isDirty() ? $rule : null);
    }

    private function needed(Situation $at): RinseChain
    {
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);
        $full = $ledger->capacityMl - $ledger->headspaceMl;
        $keeps = max(0.0, $ledger->contentMl / $full);
        $dirt = Coolant::of($at->job)->isDirty() ? self::DIRT_ASKS_FOR_LESS * $ledger->oldShare() : 1.0;
        $target = max(self::LEAST_TARGET, min($this->target($at) ?? 1.0, $dirt));

        return RinseChain::from($ledger->oldShare(), min(self::HARDLY_DRAINED, $keeps), $full, $target);
    }

    /** A change of the coolant that leaves more of the old one than the house rule lets stay anywhere. */
    private function changesTooLittle(Situation $at): bool
    {
        return Plan::of($at)->choices->jobKind === JobKind::Change && $this->target($at) === null
            && $at->job->ledgerBefore(Stage::CloseUp)->oldShare() > self::MUCH;
    }

    private function after(Situation $at, int $times): float
    {
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);

        return $ledger->oldShare() * max(
            0.0,
            $ledger->contentMl / ($ledger->capacityMl - $ledger->headspaceMl),
        ) ** $times;
    }

    private function reason(Situation $at): string
    {
        $coolant = Coolant::of($at->job);

        return self::SEEN[$coolant->seen()] ?? (
            $coolant->gelsInTheJar() ? 'In the jar the two set to gel.' : Plan::of($at)->choices->content->reason()
        );
    }

    /** @return list<string> */
    private function row(Situation $at, string $label, RinseChain $chain): array
    {
        $minutes = (int) ($chain->rinses * Plan::of($at)->rules()->labour->of(Labour::RINSE_CYCLE)->total());
        $time = sprintf('%d h %02d', intdiv($minutes, 60), $minutes % 60);

        return [
            $label,
            (string) $chain->rinses,
            $at->litres($chain->waterMl),
            $at->say($chain->oldFraction, Unit::Percent),
            $time,
        ];
    }

    /** @param  array<string, string>  $ways */
    private function decisionForm(Situation $at, string $likely, int $times, string $cleaner, array $ways = self::WAYS): Form
    {
        $counts = array_map(strval(...), range(1, self::MOST));
        $has = fn (string $part): bool => $part === '' || array_filter(
            explode(' ', $part === 'both' ? 'radiator heater' : $part),
            fn (string $kind) => BackFlush::passages($at, $kind) === [],
        ) === [];
        $parts = array_filter(self::BACK_FLUSH, $has, ARRAY_FILTER_USE_KEY);

        return new Form('decision', 'Decide', [
            Field::choice('rinse', 'Decision', $ways, $likely),
            Field::choice('times', 'Times', array_combine($counts, $counts), (string) $times),
            Field::choice('cleaner', 'Cleaner', self::CLEANER, $cleaner)->optional(),
            count($parts) < 2 ? null : Field::choice('back_flush', 'Flush against the flow', $parts, '')->optional(),
        ]);
    }

    /** @param  array<string, string>  $points */
    private static function moreForm(array $points): Form
    {
        return new Form(
            'more',
            'Open one more drain first',
            [Field::choice('point', 'Point', $points, array_key_first($points))],
            false,
        );
    }
}
