<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Closing;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\RestKept;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\OnTheWay;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Plan\Simulations;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Tone;
use Aqbel\Core\Steps\AnyTime\Replan;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Values;

/** A job that goes on by another school, or to another mixture: what was done stays, and counts. */
final readonly class Replanning
{
    /** More glycol than this is never better (common practice, no source). */
    private const MOST_GLYCOL = 0.6;

    /** What a run is followed by, wherever it was ordered: cooled, its cause and its drip found, its level read. */
    private const AFTER_A_RUN = ['cool_down', 'why_stopped', 'why_unshown', 'find_drip', 'cold_level'];

    /** Shares nearer than this are the same. */
    private const SAME = 0.0005;

    private const SAME_M = 1.0;

    private const LOWEST_MM = -400_000.0;

    private const HIGHEST_MM = 5_000_000.0;

    public function __construct(private StepCatalogue $kinds, private Planner $planner)
    {
    }

    /**
     * @param  ?Simulations  $fills  of its circuit, where some were simulated before
     * @return array<string, string> schools that may be gone on with from here, label by id; the one it goes by first
     */
    public function schools(JobState $job, ?Simulations $fills = null): array
    {
        $now = Plan::of($job)->school;
        $on = $this->groundwork($job, $fills);
        $fits = [$now->id() => $now->label()];
        foreach ($this->planner->schools->for($job->circuit) as $school) {
            if ($school->runs() && $this->whyNot($job, $school, $on) === null) {
                $fits += [$school->id() => $school->label()];
            }
        }

        return $fits;
    }

    /** The mixture it goes for. */
    public static function targetField(): Field
    {
        return Field::fraction(Replan::TARGET, 'Glycol wanted', 0.0, self::MOST_GLYCOL);
    }

    /** @return list<Field> where it stands now */
    public static function placeFields(): array
    {
        $shelters = array_combine(
            array_column(Shelter::cases(), 'value'),
            array_map(fn (Shelter $shelter) => $shelter->label(), Shelter::cases()),
        );

        return [
            Field::length(Replan::ELEVATION, 'Elevation above sea level', self::LOWEST_MM, self::HIGHEST_MM)
                ->in(Unit::Metre)
                ->optional(),
            Field::choice(Replan::SHELTER, 'Around the engine while it cools', $shelters, Shelter::Open->value),
        ];
    }

    /**
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField
     */
    private static function placed(Choices $choices, array $raw, UnitSystem $units): Choices
    {
        [$elevation] = self::placeFields();
        $typed = is_string($raw[Replan::ELEVATION] ?? null) ? trim($raw[Replan::ELEVATION]) : '';
        $mm = $typed === '' ? null : $elevation->read($typed, $units)[0];
        $shelter = is_string($raw[Replan::SHELTER] ?? null) ? Shelter::tryFrom($raw[Replan::SHELTER]) : null;

        return $choices->standing(
            is_float($mm) ? round($mm / 1000.0, 1) : $choices->elevationM,
            $shelter ?? $choices->shelter,
        );
    }

    /** The line by which it was planned anew last; 0 where it never was. */
    public static function newest(JobState $job): int
    {
        return self::last($job)->seq ?? 0;
    }

    private static function last(JobState $job): ?Entry
    {
        $anew = array_filter($job->journal->lines, fn (Entry $line) => $line->is(Lines::Replan));

        return $anew === [] ? null : end($anew);
    }

    /**
     * @throws InvalidField where somebody has planned it anew meanwhile:
     * what stands in the form as it was would take that back
     */
    private static function assertSeen(JobState $job, string $seen): void
    {
        $last = self::last($job);
        if ($seen !== '' && $last !== null && $last->seq > (int) $seen) {
            throw new InvalidField(
                Replan::SCHOOL,
                "{$last->person} has planned it anew since this page was "
                    ."opened: {$last->text(Replan::SAID)}. Look at it, and choose once more.",
            );
        }
    }

    /** Metres nearer than this are the same place. */
    private static function isElsewhere(Choices $from, Choices $to): bool
    {
        return abs($from->elevationM - $to->elevationM) >= self::SAME_M || $from->shelter !== $to->shelter;
    }

    /**
     * @param  array<mixed>  $raw  as typed: `school`, `target`, `elevation`,
     * `shelter`, `why`, and `seen`; what is not said stays as it is
     *
     * @throws InvalidField
     */
    public function line(Situation $at, array $raw): NewLine
    {
        $old = Plan::of($at);
        $text = fn (string $name): string => is_string($raw[$name] ?? null) ? trim($raw[$name]) : '';
        self::assertSeen($at->job, $text(Replan::SEEN));
        $school = $this->school($at->job, $text(Replan::SCHOOL) ?: $old->school->id());
        $typed = $text(Replan::TARGET);
        $target = $typed === ''
            ? $old->choices->targetFraction
            : (float) self::targetField()->read($typed, $at->units)[0];
        $other = abs($target - $old->choices->targetFraction) > self::SAME;
        $turns = $school->id() !== $old->school->id();
        $this->assertMayTurn($at, $turns);
        $placed = self::placed($old->choices, $raw, $at->units);
        $moved = self::isElsewhere($old->choices, $placed);
        if (! $other && ! $turns && ! $moved) {
            throw new InvalidField(
                Replan::SCHOOL,
                'It goes that way already. Choose another way of filling, another mixture, or another place.',
            );
        }
        $choices = $placed->with($school->id());
        $planned = $this->planner->plan($at->circuit(), $other ? $choices->aimingAt($target) : $choices);
        $way = $turns ? new OnTheWay($at->job, $at->step, $planned, $at->now) : null;
        $mixAgain = $other && self::isMixed($at->job) && ! self::isPoured($at->job)
            ? [new Step('mix:'.(1 + count($at->job->stepsOf('mix'))), 'mix', Stage::Mix)]
            : [];
        $missing = $way === null ? $mixAgain : [...$this->missing($at, $planned), ...$mixAgain];
        $leaves = $way?->leaves() ?? false;
        $said = implode(', ', array_filter([
            'by '.lcfirst($school->label()),
            $other ? "to {$at->say($target, Unit::Percent)} glycol" : null,
            $moved ? "at {$at->units->sayHeight(1000.0 * $placed->elevationM)}, ".lcfirst($placed->shelter->label()) : null,
        ]));

        return new NewLine(
            $at->step->id,
            Lines::Replan->value,
            Closing::leaving(
                new Values([
                    Replan::SCHOOL => $school->id(),
                    Replan::TARGET => $target,
                    Replan::ELEVATION => $placed->elevationM * 1000.0,
                    Replan::SHELTER => $placed->shelter->value,
                    Replan::SAID => $said,
                    Replan::WHY => mb_substr($text(Replan::WHY), 0, 300),
                ]),
                $leaves,
            ),
            planned: $planned->following(
                self::inFront($at, $way?->steps() ?? array_values($at->job->steps), $missing, $leaves),
            ),
        );
    }

    /**
     * @param  bool  $turns  whether to another school: what is poured and proven follows anew
     *
     * @throws InvalidField while the engine runs, or is hot from it, and where danger has the word
     */
    private function assertMayTurn(Situation $at, bool $turns): void
    {
        $kind = $this->kinds->of($at->step);
        if (isset($at->job->closed[$at->step->id]) || $at->job->stepInHand()?->id !== $at->step->id) {
            throw new InvalidField(Replan::SCHOOL, 'The job has moved on since the page was loaded. Reload it.');
        }
        if ($kind->does(Does::RunsEngine) && $kind->ran($at) !== null) {
            throw new InvalidField(
                Replan::SCHOOL,
                "The engine has been started in “{$kind->title($at)}”. Shut it off and finish that step first.",
            );
        }
        if ($kind->verdict($at)?->tone === Tone::Stop) {
            throw new InvalidField(Replan::SCHOOL, "{$kind->verdict($at)->title}: put that right first.");
        }
        if (! $turns) {
            return;
        }
        if ($at->step->stage === Stage::HandOver && $at->job->observedAnywhere(RestKept::class) !== []) {
            throw new InvalidField(
                Replan::SCHOOL,
                'What is left of what was mixed is on the shelf already. Give this job up and plan anew from where '
                    .'it stands.',
            );
        }
        $hot = $at->step->stage->value >= Stage::RunHot->value && in_array($at->step->kind, self::AFTER_A_RUN, true);
        if ($hot || $at->step->stage === Stage::Cool) {
            throw new InvalidField(
                Replan::SCHOOL,
                'It has run. Let it cool and bring the cold level to the mark first; '
                    .'then it may go on another way.',
            );
        }
    }

    /** @throws InvalidField */
    private function school(JobState $job, string $id): School
    {
        $school = $this->planner->schools->of($id);
        $why = $school->id() === $id
                ? $this->whyNot($job, $school, $this->groundwork($job))
                : 'There is no such school. Choose one of those listed.';

        return $why === null || $id === Plan::of($job)->school->id()
            ? $school
            : throw new InvalidField(Replan::SCHOOL, $why);
    }

    private function groundwork(JobState $job, ?Simulations $fills = null): Groundwork
    {
        return $this->planner->groundwork($job->circuit, Plan::of($job)->choices, $fills);
    }

    /**
     * Why a school cannot be gone on with, in a sentence; null where it can.
     * What is poured already wets what a way alone leaves dry.
     */
    private function whyNot(JobState $job, School $school, Groundwork $on): ?string
    {
        $misfit = self::isPoured($job)
            ? $school->whyNot($job->circuit, $on->choices) ?? Planner::endsTooEarly($school, $on)
            : $this->planner->whyNot($school, $on);
        if ($misfit !== null) {
            return $misfit->remedy;
        }

        return $school->beginsEmpty() && self::isPoured($job)
            ? "{$school->label()} begins before anything is poured. Drain it again first, or go on another way."
            : null;
    }

    /** Whether it has run, and nobody has read it cold since. */
    private static function isStillHot(JobState $job): bool
    {
        $hot = false;
        foreach (array_intersect_key($job->steps, $job->closed) as $step) {
            $kind = $job->kinds->of($step);
            $hot = $step->kind !== 'cool_down'
                && ($hot || ($kind->does(Does::RunsEngine) && $kind->ran($job->at($step, 0)) !== null));
        }

        return $hot;
    }

    /** Whether coolant has gone in since it was mixed. */
    private static function isPoured(JobState $job): bool
    {
        return $job->pouredMl() > 0.0;
    }

    private static function isMixed(JobState $job): bool
    {
        return array_filter($job->stepsOf('mix'), fn (Step $step) => isset($job->closed[$step->id])) !== [];
    }

    /** @return list<Step> what the new way needs besides: a cold engine, things to lay out, the vacuum let in */
    private function missing(Situation $at, Plan $planned): array
    {
        $job = $at->job;
        $n = $job->journal->last() + 1;
        $needs = fn (Plan $plan): array => $plan->school->needs($at->circuit(), $plan->choices);
        $items = array_keys(array_diff_key($needs($planned), $needs(Plan::of($job))));
        $gathered = array_filter($job->stepsOf('gather'), fn (Step $step) => isset($job->closed[$step->id])) !== [];
        $pulled = array_filter($job->stepsOf('pull'), fn (Step $step) => $job->entriesOf($step->id) !== []) !== [];
        $adapterOff = new Values(['what' => 'air let in slowly, vacuum adapter off']);

        return array_values(
            array_filter([
                // Warm-ups that follow each other are left warm: bleed points and funnel wait until it has cooled.
                self::isStillHot($job)
                    ? new Step("cool_down:turn:{$n}", 'cool_down', Stage::Cool, new Values(['cold' => true]))
                    : null,
                $items !== [] && $gathered
                    ? new Step("gather:{$n}", 'gather', $at->step->stage, new Values(['only' => $items]))
                    : null,
                $pulled && ! self::isPoured($job)
                    ? new Step("extra:{$n}", 'extra', $at->step->stage, $adapterOff)
                    : null,
            ]),
        );
    }

    /**
     * In front of the first step that is still to be done; behind the drain, the rinse or the bucket that is in hand.
     *
     * @param  list<Step>  $steps
     * @param  list<Step>  $missing
     * @return list<Step>
     */
    private static function inFront(Situation $at, array $steps, array $missing, bool $leaves): array
    {
        $isOpen = fn (Step $step): bool => ! isset($at->job->closed[$step->id])
            && ! ($leaves && $step->id === $at->step->id);
        $first = array_key_first(array_filter($steps, $isOpen)) ?? count($steps);
        $goesOn = ($steps[$first]->id ?? '') === $at->step->id && $at->step->stage->value < Stage::Fill->value;
        array_splice($steps, $goesOn ? $first + 1 : $first, 0, $missing);

        return $steps;
    }
}
