<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\OldCoolant;
use Aqbel\Core\Judged\RinseNeeded;
use Aqbel\Core\Judged\RinseNeededCode;
use Aqbel\Core\Observed\PointToo;
use Aqbel\Core\Observed\RinseDecided;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Labour;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\FurtherDrains;
use Aqbel\Core\Steps\RunWords;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Stage 3: rinse when dirty, mixed or changing family; skip when clean. The cycles decided on follow as steps of
 * their own.
 */
final class Rinse extends StepKind
{
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
        return 'What stays in dilutes the new fill, so a rinse that is not needed does harm. '.RinseWords::reason($at);
    }

    public function instructions(Situation $at): array
    {
        return [
            'Clean coolant, same family: skip.',
            'Hot rinse: water in, '
            .($at->circuit()->hasHeater() ? lcfirst(RunWords::heaterFull($at)).', ' : '')
            .'warm until the thermostat opens, cool, drain. '
            .RinseRun::warning($at),
            'Cold flow-through: water in at the top, drains and vents open, no warm-up. '.RinseFlow::leaves($at),
            'Filled cold, drained: whole to the mark once, and out again without a run. '
            .'It mixes only where the water falls: reckon with half of what a hot rinse does.',
            'Cleaner: the dirt is rinsed out first, then the cleaner as its label says, then every trace of it.'
            .' Rust that keeps coming: back-flush '
            .($at->circuit()->hasHeater() ? 'radiator and heater core, each on its own.' : 'the radiator.'),
            'The last rinse with distilled or deionised water. Rinse water is waste too.',
        ];
    }

    public function complete(Situation $at, string $form, Values $values): Values
    {
        return RinseDecided::asDecided(parent::complete($at, $form, $values));
    }

    public function observes(): array
    {
        return [PointToo::class, RinseDecided::class];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), [
            RinseDecided::everAsked(self::partsThere($at)),
            self::moreForm(FurtherDrains::everyChoice($at)),
        ]);
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        $needed = $this->judgement($at)->chain->rinses;
        $further = FurtherDrains::choices($at);
        $times = max(1, min(RinseDecided::MOST_TIMES, $needed));
        $oily = $needed > 0 && OldCoolant::of($at->job)->isOily();
        $decision = RinseDecided::asked(
            $needed === 0 ? RinseDecided::SKIP : RinseDecided::HOT,
            $times,
            $oily,
            self::partsThere($at),
        );

        return $further === [] || $needed === 0 ? [$decision] : [$decision, self::moreForm($further)];
    }

    /** @return list<string> parts that can be flushed against the flow, each on its own */
    private static function partsThere(Situation $at): array
    {
        return array_values(
            array_filter(['radiator', 'heater'], fn (string $kind) => BackFlush::passages($at, $kind) !== []),
        );
    }

    public function atOnce(Situation $at): ?Form
    {
        return $at->latest(RinseDecided::class) !== null ? null : $this->forms($at)[0];
    }

    /** Once it is decided; what the decision leaves open is an obstacle. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at)
            || ($at->latest(RinseDecided::class) !== null
                && $this->verdict($at)?->code === RinseNeededCode::Needed->value);
    }

    public function obstacles(Situation $at): array
    {
        $decided = $at->latest(RinseDecided::class);

        return match (true) {
            $at->latest(PointToo::class) !== null => [],
            $decided === null => [Obstacle::missing('not_decided', 'Decide whether to rinse.')],
            $decided->skips && $this->judgement($at)->code === RinseNeededCode::Needed => [
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
        $needed = $this->judgement($at);

        return new Figure(
            'Old coolant, were it full now',
            $needed->oldShare,
            Unit::Percent,
            Origin::Predicted,
            $needed->target,
            'may stay',
        );
    }

    public function judgement(Situation $at): RinseNeeded
    {
        return RinseNeeded::of($at);
    }

    public function judge(Situation $at): Verdict
    {
        return RinseWords::of($at, $this->judgement($at));
    }

    public function tables(Situation $at): array
    {
        return RinseWays::tables($at, $this->judgement($at));
    }

    public function orders(Situation $at): array
    {
        $more = $at->latest(PointToo::class);
        $point = $more === null ? null : FurtherDrains::stillShut($at->job, $more->point);
        if ($point !== null) {
            return [
                FurtherDrains::further($at, $point),
                new Step('rinse:'.(1 + count($at->job->stepsOf('rinse'))), 'rinse', Stage::Rinse),
            ];
        }
        $decided = $at->latest(RinseDecided::class);

        return $decided === null ? [] : RinsePart::first($at, self::inOrder($decided));
    }

    /**
     * @return list<string> what was decided, in the order it is
     * done: dirt first, cleaner, parts on their own, clear water
     */
    private static function inOrder(RinseDecided $decided): array
    {
        $plain = match (true) {
            $decided->skips => [],
            $decided->staysCold => array_fill(0, $decided->times, RinsePart::ONCE),
            $decided->flows => [RinsePart::FLOW],
            default => array_fill(0, $decided->times, RinsePart::WATER),
        };
        $cleaner = $decided->withCleaner
            ? [$decided->flows ? RinsePart::FLOW : RinsePart::WATER, RinsePart::CLEANER]
            : [];

        return [
            ...$cleaner,
            ...array_map(fn (string $part) => RinsePart::BACK.$part, $decided->backFlushed),
            ...$plain,
        ];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        RinseDecided::admit($values);
    }

    /** Records from before the cycles were steps of their own hold their water here. */
    public function ledger(Situation $at, Entry $entry): array
    {
        return RinseWater::lines($at, $entry);
    }

    public function labour(Step $step, Choices $choices): Minutes
    {
        $cycle = $choices->rules->labour->of(Labour::RINSE_CYCLE);

        return parent::labour($step, $choices)->plus($cycle->times($step->params->whole('rinses')));
    }

    /** @param  array<string, string>  $points */
    private static function moreForm(array $points): Form
    {
        return PointToo::asked('Open one more drain first', $points)->aside();
    }
}
