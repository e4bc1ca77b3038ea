<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Circuit\RoutineLine;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\TopUpSeries;
use Aqbel\Core\Observed\RoutineBegunAgain;
use Aqbel\Core\Observed\RoutineLineBegun;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Poured;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Values;

/** Stage 6: the manual's own routine, line by line with its times; the level afterwards tells whether it was enough. */
final class Routine extends Poured
{
    public function name(): string
    {
        return 'routine';
    }

    public function title(Situation $at): string
    {
        return 'The manual’s own routine';
    }

    public function why(Situation $at): string
    {
        return 'Where a pump of its own drives the coolant round, the maker’s sequence moves air that no pour reaches.';
    }

    public function instructions(Situation $at): array
    {
        return [
            ...array_map(fn (RoutineLine $line) => $line->text, self::lines($at->step)),
            $this->levelFollows($at)
                ? 'Say each line when it is begun.'
                : 'Say each line when it is begun. Then read the level, top it up, and say how much.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Moving];
    }

    public function observes(): array
    {
        return [RoutineLineBegun::class, RoutineBegunAgain::class, ToppedUp::class];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), [
            $this->lineForm($at),
            $this->levelForm($at),
            RoutineBegunAgain::asked(),
        ]);
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        $next = self::lines($at->step)[$this->done($at)] ?? null;

        return [
            ...$next !== null ? [$this->lineForm($at)] : ($this->levelFollows($at) ? [] : [$this->levelForm($at)]),
            ...$at->latest(RoutineLineBegun::class) === null ? [] : [RoutineBegunAgain::asked()],
        ];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $clock = $this->clock($at);
        $isLine = $form === RoutineLineBegun::FORM;
        if (($isLine || $form === ToppedUp::FORM) && $clock !== null && ! $clock->over($at->now)) {
            $left = (int) ceil(($clock->until - $at->now) / 60);
            throw new InvalidField(
                $isLine ? RoutineLineBegun::LINE : VesselReading::VOLUME,
                "The line before goes on for {$left} min more. Wait, or begin the routine again.",
            );
        }
        if ($isLine && RoutineLineBegun::lineIn($values) !== $this->done($at)) {
            throw new InvalidField(
                RoutineLineBegun::LINE,
                'The lines come one after the other. Say the one that is next.',
            );
        }
    }

    public function clock(Situation $at): ?Clock
    {
        $last = $at->latest(RoutineLineBegun::class);
        $line = $last === null ? null : self::lines($at->step)[$last->line] ?? null;

        return $last === null || $line === null || $line->minutes <= 0.0 || $at->latest(ToppedUp::class) !== null
            ? null
            : new Clock($line->text, $last->at(), $last->at() + (int) round(60.0 * $line->minutes));
    }

    public function obstacles(Situation $at): array
    {
        $all = count(self::lines($at->step));

        return match (true) {
            $this->done($at) < $all => [
                Obstacle::missing('not_through', "Line {$this->done($at)} of {$all}. Go through all of it."),
            ],
            $this->levelFollows($at) && $this->clock($at)?->over($at->now) === false => [
                Obstacle::missing('goes_on', 'The last line goes on. Wait for its time.'),
            ],
            ! $this->levelFollows($at) && ! $this->isRead($at) => [
                Obstacle::missing('no_level', 'Read the level afterwards, and say what it took.'),
            ],
            default => [],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        if (! $this->isRead($at)) {
            return null;
        }
        $took = (float) $at->latest(ToppedUp::class)?->read->ml;
        $said = $at->amount($took);

        return $took <= TopUpSeries::settledMl($at)
            ? Verdict::pass('settled', 'Settled', "It took {$said} after the routine: reading error.")
            : Verdict::wait('again', 'Once more', "It took {$said} after the routine: that was air. Run it again, "
                .'or go on; the warm-up proves it.');
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $topped = ToppedUp::of($entry);

        return $topped === null
            ? []
            : [
                TopUp::line(
                    $at,
                    $entry,
                    'Topped up after the routine',
                    $topped->read->plusMinusMl($at),
                    $topped->read->roughMl,
                ),
            ];
    }

    /** A routine with parts of its own has the level as one of them. */
    private function levelFollows(Situation $at): bool
    {
        return $at->step->params->ticked('level_follows');
    }

    /** The times of its lines on top of the hands. */
    public function labour(Step $step, Choices $choices): Minutes
    {
        $waits = array_sum(array_map(fn (RoutineLine $line) => $line->minutes, self::lines($step)));

        return parent::labour($step, $choices)->plus(new Minutes(0.0, $waits));
    }

    /** @return list<RoutineLine> */
    private static function lines(Step $step): array
    {
        return array_map(RoutineLine::of(...), $step->params->list('lines'));
    }

    /** Lines said since it was begun, or begun again. */
    private function done(Situation $at): int
    {
        $again = $at->latest(RoutineBegunAgain::class);

        return count(
            array_filter($at->observed(RoutineLineBegun::class), fn (RoutineLineBegun $line) => $line->isAfter($again)),
        );
    }

    /** The level was read after the last line. */
    private function isRead(Situation $at): bool
    {
        $topped = $at->latest(ToppedUp::class);

        return $topped !== null
            && $topped->isAfter($at->latest(RoutineLineBegun::class))
            && $topped->isAfter($at->latest(RoutineBegunAgain::class));
    }

    private function lineForm(Situation $at): Form
    {
        return RoutineLineBegun::asked(self::lines($at->step), $this->done($at));
    }

    private function levelForm(Situation $at): Form
    {
        return new Form(ToppedUp::FORM, 'Record the level', [
            ...VesselReading::fields($at, 'Topped up to the mark', VesselUse::Measure),
            TopUp::liquidField($at),
        ], closes: true);
    }
}
