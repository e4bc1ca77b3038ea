<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\HandOver;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\Accounted;
use Aqbel\Core\Judged\AccountedCode;
use Aqbel\Core\Judged\DrainGaveCode;
use Aqbel\Core\Judged\Gone;
use Aqbel\Core\Judged\PressureHeldCode;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\Decided;
use Aqbel\Core\Observed\Declined;
use Aqbel\Core\Observed\LeftShut;
use Aqbel\Core\Observed\LevelSeen;
use Aqbel\Core\Observed\NumberNamed;
use Aqbel\Core\Plan\NextChange;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Range;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\FrostGate;
use Aqbel\Core\Steps\HangsOn;
use Aqbel\Core\Steps\Perhaps;
use Aqbel\Core\Steps\StepKind;

/** Stage 11: the record is signed when nothing is missing, or what is missing has a reason. */
final class SignOff extends StepKind
{
    private const SHOWN = 3;

    /** Of a circuit, what its sums may hide without a word (common practice, no source). */
    private const MUCH_HIDDEN = 0.1;

    /** What a step came to where somebody decided that it is not done. */
    private const NOT_DONE = [PressureHeldCode::Declined->value, DrainGaveCode::LeftShut->value];

    public function name(): string
    {
        return 'sign_off';
    }

    protected function doing(): array
    {
        return [Does::Signs];
    }

    public function title(Situation $at): string
    {
        return 'Sign off';
    }

    public function why(Situation $at): string
    {
        return 'After this the record stands as it is.';
    }

    public function instructions(Situation $at): array
    {
        $passed = count(array_filter($at->job->closed, fn (Entry $e) => $e->is(Lines::Override)));
        $notDone = $this->notDone($at);
        $choices = Plan::of($at)->choices;

        return array_values(
            array_filter([
                'Read the ledger line and the verdicts once more.',
                $this->hidden($at),
                $choices->drains === []
                    ? null
                    : 'Next change of the coolant: '
                        .NextChange::after($choices, $at->units, $at->job->ledger()->oldShare())
                        .'.',
                $notDone === [] ? null : 'Not done: '.implode('; ', $notDone).'.',
                match (true) {
                    $passed > 0 => "{$passed} step(s) were passed with a reason; the reasons are on the record.",
                    $notDone === [] => 'No step was passed over.',
                    default => null,
                },
            ]),
        );
    }

    /** What the sums could not tell, where that is much of all the circuit holds. */
    private function hidden(Situation $at): ?string
    {
        $sums = Accounted::of($at);
        $share = $sums->plusMinusMl / $at->circuit()->capacityMl();

        return $sums->code !== AccountedCode::Accounted || $sums->restsOn() === [] || $share < self::MUCH_HIDDEN
            ? null
            : sprintf(
                'The sums tell no air of less than %s here, %.0f %% of all it holds. What stands for it is the level '
                    .'after the run: look again after a day’s work.',
                $at->litres($sums->plusMinusMl),
                100.0 * $share,
            );
    }

    /** @return list<string> tests that were declined and points left shut, with why */
    private function notDone(Situation $at): array
    {
        $decided = array_merge(...array_map($at->job->observedAnywhere(...), [LeftShut::class, Declined::class]));
        $still = array_filter(
            $decided,
            fn (Decided $one) => in_array(
                $at->job->verdictOf($at->job->steps[$one->told()->step], $at->now)?->code,
                self::NOT_DONE,
                true,
            ),
        );

        return array_values(
            array_map(
                fn (Decided $one) => "{$this->titleOf($at, $at->job->steps[$one->told()->step])} ({$one->why})",
                $still,
            ),
        );
    }

    public function observes(): array
    {
        return [NumberNamed::class];
    }

    public function judgement(Situation $at): Accounted
    {
        return Accounted::of($at);
    }

    /**
     * @return array<string, string> the three lines the sums hang on, what was
     * told roughly before what is large; by their place there
     */
    private function likeliest(Situation $at): array
    {
        $lines = $at->job->ledger()->lines;
        uasort($lines, fn (Line $a, Line $b) => [$b->roughMl, abs($b->ml)] <=> [$a->roughMl, abs($a->ml)]);
        $said = [];
        foreach (array_slice($lines, 0, self::SHOWN, true) as $place => $line) {
            $said["line:{$place}"] = "{$line->label} {$at->litres(abs($line->ml))}";
        }

        return $said + ['capacity' => "The capacity of {$at->litres($at->circuit()->capacityMl())}"];
    }

    public function judge(Situation $at): ?Verdict
    {
        $sums = $this->judgement($at);
        $missing = $at->litres(abs($sums->missingMl));
        $settles = HangsOn::oneNumber($at, $sums->missingMl);

        return match ($sums->code) {
            AccountedCode::Accounted => null,
            AccountedCode::AirUnaccounted => Verdict::stop(
                $sums->code(),
                'Air behind the mark',
                "By the sums {$missing} ± {$at->litres($sums->plusMinusMl)} is missing though the level stands "
                    ."at its mark: air, until it came in as a top-up or a number is named.{$settles}",
            ),
            AccountedCode::TooMuch => Verdict::stop(
                $sums->code(),
                'More than stands below the mark',
                "By the sums {$missing} ± {$at->litres($sums->plusMinusMl)} more is inside than the circuit "
                    .'holds at its mark: '
                    .(Gone::of($at->job) === null
                        ? "one of the numbers is wrong.{$settles}".Perhaps::oneSlipped($at)
                        : 'what was topped up since the fill has gone out again, or one of the numbers is wrong.'),
            ),
            AccountedCode::NumberNamed => Verdict::wait(
                $sums->code(),
                'A number is named',
                'The record says which number is wrong, and how that is known.',
            ),
        };
    }

    public function asks(Situation $at): array
    {
        $wrong = ! in_array(Accounted::of($at)->code, [AccountedCode::Accounted, AccountedCode::NumberNamed], true);
        $named = NumberNamed::asked($this->likeliest($at));
        $remark = new Form('remark', 'Keep remark', [Field::text('remark', 'Remark for the record', true)], false);

        return Form::offering([$wrong ? $named : null, $remark], [$remark, $named]);
    }

    public function obstacles(Situation $at): array
    {
        $missing = [];
        foreach ($at->job->turn()->openBefore($at->step) as $step) {
            $missing[] = Obstacle::missing("not_finished.{$step->id}", 'Not finished: '.$this->titleOf($at, $step));
        }
        foreach ($at->job->steps as $step) {
            if (! $at->job->stillStands($step, $at->now)) {
                $now = $at->job->verdictOf($step, $at->now, $at->units)->title ?? 'not judged';
                $missing[] = Obstacle::missing(
                    "verdict_changed.{$step->id}",
                    "A correction changed a verdict: {$this->titleOf($at, $step)}, now “{$now}”.",
                );
            }
        }

        $frost = FrostGate::obstacle($at);
        $seen = $at->job->observedAnywhere(LevelSeen::class);
        $level = $seen === [] ? null : $seen[count($seen) - 1];

        return array_values(array_filter([
            ...$missing,
            $this->unaccounted($at),
            $frost,
            $level === null || $level->isGood($at->facts()->neck)
                ? null
                : Obstacle::missing('level', 'The last cold level was not at the mark.'),
        ]));
    }

    private function unaccounted(Situation $at): ?Obstacle
    {
        $verdict = $this->judge($at);

        return $verdict?->stops() !== true
            ? null
            : Obstacle::at(
                Gate::Sums,
                $verdict->code,
                "{$verdict->reason} Top up, correct it, name the number, or a lead says why it stands.",
            );
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledger();
        $full = $ledger->capacityMl - $ledger->headspaceMl;

        return new Figure(
            'In the circuit',
            $ledger->contentMl,
            Dimension::Volume,
            Origin::Measured,
            $full,
            'full to the mark',
            Range::within($ledger->contentMl, $ledger->plusMinusMl),
        );
    }

    public function finishWord(): string
    {
        return 'Sign the record';
    }

    private function titleOf(Situation $at, Step $step): string
    {
        $kind = $at->job->kinds->of($step);

        return $kind instanceof StepKind ? $kind->title($at->seenFrom($step)) : $step->id;
    }
}
