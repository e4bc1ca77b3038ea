<?php

declare(strict_types=1);

namespace App\Journal;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Writing\Cautions;

/** A sheet of several steps that is sent in one press. */
final readonly class SheetPress
{
    /** Under which a sheet says that something else than the usual is told of a step. */
    private const OTHERWISE = 'otherwise';

    public function __construct(private Pen $pen)
    {
    }

    /**
     * Several steps in one press, each as it says itself; all of it or nothing. Where one of
     * them has to be looked at before those below it, the press is refused and says so there; it
     * is taken up to that one where that is what was pressed.
     *
     * @param  array<mixed>  $raw  as typed, by step
     * @param  string  $upTo  the last step it is taken for; empty for all of them
     * @param  array<string, string>  $read  cautions that stood above it, with the step each belongs to
     *
     * @throws InvalidField|InvalidFields with fields as `sheet.step.field`, or `sheet.step.stops`
     */
    public function take(array $raw, string $upTo = '', array $read = []): void
    {
        OneWriter::run(function () use ($raw, $upTo, $read): void {
            $steps = array_map(strval(...), array_keys($raw));
            if ($steps !== [] && $this->pen->next("sheet {$steps[0]}")->hasWritten()) {
                return; // it came twice
            }
            $this->pen->readAbove($read);
            $known = [];
            foreach ($steps as $i => $step) {
                $fields = is_array($raw[$step]) ? $raw[$step] : [];
                $other = is_string($fields[self::OTHERWISE] ?? null) ? $fields[self::OTHERWISE] : '';
                $said = $other === '' ? $fields : (is_array($fields[$other] ?? null) ? $fields[$other] : []);
                $one = $this->pen->next("sheet {$step}");
                if ($i > 0 && ! $this->isAskedAtOnce($step)) {
                    throw new InvalidField(
                        "sheet.{$steps[$i - 1]}.stops",
                        "{$this->titleOf($step)} is asked by itself after this: what stands below waits.",
                    );
                }
                try {
                    // How warm the coolant is is asked once, and holds for those after it.
                    $known = [...$known, ...$this->atOnce($one, $step, $known, $said, $other)];
                } catch (InvalidField|InvalidFields $invalid) {
                    throw $invalid instanceof InvalidField && $invalid->field === 'finish'
                        ? $invalid
                        : $invalid->within(rtrim("sheet.{$step}.{$other}", '.'));
                }
                $finished = (new Finishing($one))->whereNothingIsMissing($step);
                $next = $steps[$i + 1] ?? null;
                if ($next === null || $step === $upTo) {
                    return;
                }
                $state = $this->pen->job->state();
                if (! $finished || $state->stepInHand()?->id !== $next) {
                    throw new InvalidField("sheet.{$step}.stops", $this->whyItStops($state, $step));
                }
            }
        });
    }

    /** What was said above it on a sheet may make it a step of its own. */
    private function isAskedAtOnce(string $step): bool
    {
        $at = $this->pen->situation($this->pen->job->state(), $step);

        return $this->pen->kinds->of($at->step)->atOnce($at) !== null;
    }

    private function titleOf(string $step): string
    {
        $at = $this->pen->situation($this->pen->job->state(), $step);

        return $this->pen->kinds->of($at->step)->title($at);
    }

    /** Why what stands below a step of a sheet is not said with it. */
    private function whyItStops(JobState $state, string $step): string
    {
        $inHand = $state->stepInHand();
        if ($inHand !== null && $inHand->id !== $step) {
            return "{$this->titleOf($inHand->id)} comes first: what stands below is asked after it.";
        }
        $at = $this->pen->situation($state, $step);
        $kind = $this->pen->kinds->of($at->step);
        $verdict = $kind->verdict($at);

        return $verdict === null || $verdict->passes()
            ? implode(' ', array_map(fn (Obstacle $obstacle) => $obstacle->text, $kind->open($at)))
            : trim("{$verdict->title}. {$verdict->reason}");
    }

    /**
     * @param  array<mixed>  $before  what is known from the steps before it
     * @param  array<mixed>  $said
     * @param  string  $other  the form that is said in place of the usual one; empty for that one
     * @return array<mixed> what of it is known for the steps after it
     */
    private function atOnce(Pen $pen, string $stepId, array $before, array $said, string $other): array
    {
        $known = [];
        $after = $pen->write(function (JobState $state) use ($pen, $stepId, $before, $said, $other, &$known): NewLine {
            $at = $pen->situation($state, $stepId);
            $kind = $pen->kinds->of($at->step);
            $form = $kind->atOnce($at)
                ?? throw new InvalidField('finish', 'This step has moved on since the page was loaded. It is '
                    .'shown as it is now.');

            $form = $other === '' ? $form : $kind->form($at, $other) ?? $form;
            $asked = array_flip($form->coolantFields());
            $raw = [...array_intersect_key($before, $asked), ...$said];
            $known = array_intersect_key($raw, $asked);

            return $pen->clerk->entry($at, $other === '' ? $form->name : $other, $raw, $pen->waited());
        });
        if (
            $after !== null
            && Cautions::unread($after->at($after->steps[$stepId], 0), $pen->kinds->of($after->steps[$stepId])) !== []
        ) {
            throw new InvalidField('finish', 'Read the cautions first.');
        }

        return $known;
    }
}
