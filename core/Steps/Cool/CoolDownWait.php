<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Heat\CoolDown;
use Aqbel\Core\Heat\Reading;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Stages 1 and 9: waiting until the circuit may be opened. A neck sealed while warming stays shut until then,
 * whatever the reason.
 */
final class CoolDownWait extends StepKind
{
    /** Standing so long, an engine may be opened without a reading (common practice, no source). */
    private const RESTED_S = 2.0 * 3600.0;

    /** Shut off so long, hoses and radiator that are cool to the hand tell that it may be opened (common practice, no source). */
    private const BY_HAND_S = 5400;

    public const BY_HAND = 'by_hand';

    private const DRY = 'dry';

    private const DRIPS = 'drips';

    private const LONGEST_REST_S = 3600.0 * 24 * 400;

    /** An entry may be written down a minute after the hours it speaks of. */
    private const SLACK_S = 60;

    /** A temperature read so long ago is this one, s: it has fallen since, if anything (common practice, no source). */
    private const JUST_NOW_S = 1800;

    public function name(): string
    {
        return 'cool_down';
    }

    protected function doing(): array
    {
        return [Does::Guards];
    }

    public function title(Situation $at): string
    {
        return $this->beforeTheWork($at->step) ? 'Is it cold?' : 'Cool down';
    }

    public function why(Situation $at): string
    {
        return $this->beforeTheWork($at->step)
            ? 'A warm circuit is under pressure and scalds when the cap moves.'
            : 'Cooling draws coolant in where the air was. Opened warm, the level lies and the neck scalds.';
    }

    public function instructions(Situation $at): array
    {
        return array_values(array_filter([
            'Read the coolant temperature and the air temperature. Hood open, cap shut.',
            $this->beforeTheWork($at->step) ? '' : 'Look underneath now: hot and under pressure a drip shows that a cold look misses.',
            'A second reading some minutes later makes the clock this engine’s own instead of a typical one.',
            'Come back when the clock is over and read once more.',
        ]));
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        $air = $at->job->lastOf($this->name(), 'reading')?->number('air');
        $field = Field::temperature('air', 'Air', true, -40, 55);

        return [
            new Form('reading', 'Record reading', [
                Field::coolant('ect', 'Coolant'),
                $air === null ? $field : $field->preset($air),
            ], note: $air === null ? '' : 'The air as it was read last time stands there already.'),
            self::restedForm()->aside(),
            ...$this->beforeTheWork($at->step) ? [] : [self::byHandForm()],
            ...$this->mayBeLookedUnder($at) ? self::underneathForms() : [],
        ];
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [$this->offered($at)[0], self::restedForm()->aside(), self::byHandForm(), ...self::underneathForms()];
    }

    /** Before the work how long it has stood; after a run the reading, once it has stood long enough to be cold. */
    public function atOnce(Situation $at): ?Form
    {
        $ran = $at->job->running()->last();
        if ($at->has('reading')) {
            return null;
        }
        if ($this->beforeTheWork($at->step)) {
            return $ran === null ? self::restedForm() : null;
        }

        return $ran !== null && $at->now - $ran >= self::RESTED_S && WhyStopped::runBefore($at) === null ? $this->forms($at)[0] : null;
    }

    /** After every run, and once: hot and under pressure a drip shows that a cold look misses. */
    private function mayBeLookedUnder(Situation $at): bool
    {
        return $at->step->stage->value >= Stage::Cool->value && ! $at->has(self::DRY) && ! $at->has(self::DRIPS);
    }

    /** @return list<Form> */
    private static function underneathForms(): array
    {
        return [new Form(self::DRY, 'Underneath it is dry', [], false), new Form(self::DRIPS, 'It drips underneath', [
            Field::text('where', 'Where', true),
        ], false)];
    }

    private static function byHandForm(): Form
    {
        return new Form(self::BY_HAND, 'No thermometer: cool to the hand', [], false);
    }

    private static function restedForm(): Form
    {
        return new Form('rested', 'It stood long enough', [
            Field::duration('since', 'Hours since it last ran', Unit::Hour, self::LONGEST_REST_S),
        ]);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $ran = $at->job->running()->last();
        if ($form === self::BY_HAND) {
            self::admitByHand($at, $ran);
        }
        if ($form === 'rested' && $ran !== null && $values->number('since') > $at->now - $ran + self::SLACK_S) {
            $minutes = max(1, intdiv($at->now - $ran, 60));
            throw new InvalidField(
                'since',
                "The journal has the engine running {$minutes} min ago, so it cannot have stood that long. Read the "
                    .'temperature instead, or wait.',
            );
        }
    }

    /** @throws InvalidField before it can be told by hand, or where a reading says otherwise */
    private static function admitByHand(Situation $at, ?int $ran): void
    {
        $left = $ran === null ? 0 : (int) ceil(($ran + self::BY_HAND_S - $at->now) / 60);
        $read = self::readJustNow($at);
        if (WhyStopped::runBefore($at) !== null) {
            throw new InvalidField('finish', 'That run had to be stopped: after it the temperature is read, not felt.');
        }
        if ($left > 0) {
            throw new InvalidField('finish', "A hand tells it from ninety minutes after the engine is off: another {$left} min. Or read the temperature.");
        }
        if ($read !== null && ! HotNeck::mayBeOpened($at, $read)) {
            throw new InvalidField('finish', "{$at->degrees($read)} was read a little while ago. Wait, and read it again.");
        }
    }

    /** Felt cool since the last reading, long enough after the run. */
    private static function isCoolToTheHand(Situation $at): bool
    {
        return ($at->last(self::BY_HAND)->seq ?? 0) > ($at->last('reading')->seq ?? 0);
    }

    /**
     * Whether it was felt cool, or had stood long enough, a little while before a moment: nobody who had no thermometer
     * then is asked to read one at the neck.
     */
    public static function wasColdUnread(Situation $at, int $moment): bool
    {
        $rested = $at->job->lastOf('cool_down', 'rested');
        $rested = $rested?->number('since') >= self::RESTED_S ? $rested : null;
        $felt = $at->job->lastOf('cool_down', self::BY_HAND) ?? $rested;

        return $felt !== null && $moment >= $felt->at && $moment - $felt->at <= self::JUST_NOW_S && $felt->at >= ($at->job->running()->last() ?? 0);
    }

    public function obstacles(Situation $at): array
    {
        if ($this->neckIsUnsealed($at) || self::isCoolToTheHand($at)) {
            return [];
        }
        $ect = $at->last('reading')?->number('ect');
        if ($ect !== null && ! HotNeck::mayBeOpened($at, $ect)) {
            $clock = $this->clock($at);
            $when = $clock === null ? '' : ' About '.max(1, (int) ceil(($clock->until - $at->now) / 60)).' min to go.';

            return [
                Obstacle::never(
                    'too_hot',
                    "At {$at->degrees($ect)} the neck stays shut: it opens at {$at->degrees(HotNeck::safeC($at))} or "
                        ."below.{$when}",
                ),
            ];
        }
        $rested = $at->last('rested')?->number('since');
        if ($ect !== null || ($rested !== null && $rested >= self::RESTED_S)) {
            return [];
        }

        return [$rested === null
            ? Obstacle::never('no_reading', 'Read the coolant temperature, or say how many hours it has stood.')
            : Obstacle::never(
                'rested_too_short',
                'Two hours standing is the least. Read the temperature instead, or wait.',
            )];
    }

    public function clock(Situation $at): ?Clock
    {
        $last = $at->last('reading');
        $minutes = $this->predicted($at)->minutesFromLast ?? 0.0;

        return $last === null || $minutes <= 0.0
            ? null
            : new Clock($this->neckIsUnsealed($at) ? 'Until it is cold' : 'Until the neck may be opened', $last->at, $last->at + (int) round($minutes * 60), true);
    }

    /** Null before a reading, and where the readings do not fall. */
    private function predicted(Situation $at): ?CoolDown
    {
        return $at->once(self::class, fn (): ?CoolDown => self::predict($at));
    }

    private static function predict(Situation $at): ?CoolDown
    {
        $readings = $at->entries('reading');
        $points = [];
        foreach ($readings as $entry) {
            $minute = ($entry->at - $readings[0]->at) / 60.0;
            if ($points === [] || $minute > $points[count($points) - 1]->minute) {
                $points[] = new Reading($minute, Temperature::celsius((float) $entry->number('ect')));
            }
        }
        if ($readings === []) {
            return null;
        }
        $air = (float) $readings[count($readings) - 1]->number('air');
        try {
            return CoolDown::predict(
                Temperature::celsius($air),
                $points,
                Temperature::celsius(HotNeck::safeC($at)),
            );
        } catch (InvalidField) {
            return null;
        }
    }

    public function figure(Situation $at): Figure
    {
        return new Figure(
            'Coolant',
            $at->last('reading')?->number('ect'),
            Dimension::Temperature,
            Origin::Measured,
            HotNeck::safeC($at),
            $this->neckIsUnsealed($at) ? 'cold' : 'neck may be opened',
        );
    }

    public function judge(Situation $at): ?Verdict
    {
        if (self::isCoolToTheHand($at)) {
            return Verdict::pass(
                'cool_to_the_hand',
                'Cool to the hand',
                'Felt, not read: less than a thermometer tells. Rag over the cap, to the first hiss, stop, wait, go on.',
            );
        }
        $ect = $at->last('reading')?->number('ect');
        if ($ect === null) {
            return null;
        }
        if ($this->neckIsUnsealed($at) && ! HotNeck::mayBeOpened($at, $ect)) {
            return Verdict::pass(
                'unsealed',
                'Never sealed',
                "{$at->degrees($ect)}, but the neck was not sealed while it warmed: it may be topped up warm, with "
                    .'glasses and rag.'
                    .' The level that counts is the cold one.',
            );
        }
        if (HotNeck::mayBeOpened($at, $ect)) {
            return Verdict::pass(
                'cold',
                'Cold enough',
                "{$at->degrees($ect)} is at or below {$at->degrees(HotNeck::safeC($at))}.",
            );
        }
        if ($this->clock($at) === null) {
            return Verdict::wait(
                'not_falling',
                'Not falling yet',
                'The readings do not fall toward the air temperature. Check both and read again in ten minutes.',
            );
        }
        $readings = count($at->entries('reading'));
        $predicted = $this->predicted($at);
        $range = $predicted === null ? '' : sprintf(
            ' Eight engines of ten need %d to %d min from the last reading.',
            (int) round($predicted->minutesLow),
            (int) round($predicted->minutesHigh),
        );

        return Verdict::wait('too_hot', 'Too hot to open', ($readings > 1
            ? "Cooling through your {$readings} readings and the engines this shop knows: cold enough when the clock "
                .'is over.'
            : 'A typical engine with the hood open takes this long. A second reading makes it this one’s.').$range);
    }

    /** Before the work it has stood already; only afterwards there is a wait to plan. */
    public function labour(Step $step, Choices $choices): Minutes
    {
        $usual = parent::labour($step, $choices);

        return $this->beforeTheWork($step) ? new Minutes($usual->hands) : $usual;
    }

    /**
     * It ran in this job, not under its cap, and ended well: there is no pressure to wait for, and the neck may be
     * topped up warm. Before a drain the heat of the coolant itself is waited for, and after a run that was stopped
     * everything.
     */
    private function neckIsUnsealed(Situation $at): bool
    {
        // Before bleed points are opened it is cold, however the neck stood.
        return ! $at->step->params->ticked('cold') && $at->step->stage !== Stage::Rinse && ! HotNeck::wasSealed($at) && WhyStopped::runBefore($at) === null;
    }

    /** Whether it dripped after the run before a step. */
    public static function dripped(Situation $at): bool
    {
        $cooled = $at->job->before($at->step, 'cool_down');

        return $cooled !== null && $at->job->entriesOf($cooled->id, self::DRIPS) !== [];
    }

    /** A run that was stopped has its cause looked for before the neck is filled up; so has a drip, cold and pressed. */
    public function orders(Situation $at): array
    {
        $stopped = WhyStopped::runBefore($at);
        $ordered = [
            $stopped === null ? null : new Step("why_stopped:{$stopped->id}", 'why_stopped', $at->step->stage, new Values(['run' => $stopped->id])),
            $at->has(self::DRIPS) ? new Step("find_drip:{$at->step->id}", 'find_drip', $at->step->stage) : null,
        ];

        return array_values(array_filter($ordered, fn (?Step $step) => $step !== null && ! isset($at->job->steps[$step->id])));
    }

    /** The coolant as it was read while it cooled down, just now: nobody reads it twice; °C. */
    public static function readJustNow(Situation $at): ?float
    {
        $read = $at->job->lastOf('cool_down', 'reading');

        return $read !== null && $at->now - $read->at <= self::JUST_NOW_S && $read->at >= ($at->job->running()->last() ?? 0)
            ? $read->number('ect')
            : null;
    }

    private function beforeTheWork(Step $step): bool
    {
        return $step->stage === Stage::MakeSafe;
    }
}
