<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Judged\Gauge;
use Aqbel\Core\Observed\NeedleRead;
use Aqbel\Core\Observed\PullStarted;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Vacuum\VacuumPlan;
use Aqbel\Core\Values;

/** Stage 7: adapter on, vacuum pulled to the target for this elevation. */
final class Pull extends StepKind
{
    /** A circuit that is called warm or wet when its own vapour may hold the needle, °C. */
    private const WARM_C = 40.0;

    /**
     * Shorter of the target than this, it may be vapour; further, it is a leak or weak air; kPa (common practice, no
     * source).
     */
    private const VAPOUR_SHORT_KPA = 7.0;

    public function name(): string
    {
        return 'pull';
    }

    protected function doing(): array
    {
        return [Does::LoadsJoints];
    }

    public function watchedBy(): WatchedBy
    {
        return WatchedBy::VacuumGauge;
    }

    public function title(Situation $at): string
    {
        return 'Pull the vacuum';
    }

    public function why(Situation $at): string
    {
        $target = $at->say(Gauge::targetKpa($at), Unit::InchOfMercury);

        return "{$target} here is the same quality of vacuum as ".Plan::of($at)->rules()->seaLevelVacuumInHg
            .' inHg at sea level: the air is thinner, not the tool weaker.';
    }

    public function instructions(Situation $at): array
    {
        return [
            ($at->circuit()->hasHeater() ? 'Heater valve open. ' : '')
            .'Adapter seated on the neck, outlet hose to the floor.',
            'Air on, valve open. Hoses flatten: normal.',
            'Short of the target after three minutes: adapter not seated, a drain open, or weak air, before any '
                .'other leak.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Collapse];
    }

    public function observes(): array
    {
        return [PullStarted::class, NeedleRead::class];
    }

    public function asks(Situation $at): array
    {
        $reading = new Form(
            NeedleRead::FORM,
            'Record gauge',
            NeedleRead::fields('Gauge shows', Gauge::air($at)),
            closes: true,
        );
        $begun = $at->latest(PullStarted::class) !== null || self::read($at) !== null;

        return Form::offering($begun ? [$reading] : [$reading, PullStarted::asked()->aside()], [
            PullStarted::asked(),
            $reading,
        ]);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        Needle::admit($at, $values);
    }

    public function clock(Situation $at): ?Clock
    {
        $started = $at->latest(PullStarted::class);
        $seconds = (int) round(60.0 * Plan::of($at)->rules()->labour->of($this->name())->wait);

        return $started === null || $this->reached($at)
            ? null
            : new Clock('Target within three minutes', $started->at(), $started->at() + $seconds);
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            $this->reached($at) => [],
            self::read($at) !== null => [Obstacle::missing('short_of_target',
                'The gauge stands short of the target. Seat the adapter again, check the drains just used, then '
                    .'the air supply. Good enough: say why, and what air it leaves is topped up.')],
            default => [Obstacle::missing('no_reading', 'Record what the gauge shows.')],
        };
    }

    public function figure(Situation $at): Figure
    {
        return new Figure(
            'Vacuum',
            self::read($at),
            Unit::InchOfMercury,
            Origin::Measured,
            Gauge::targetKpa($at),
            'target here',
        );
    }

    public function judge(Situation $at): ?Verdict
    {
        $read = self::read($at);
        if ($read === null) {
            return null;
        }
        if ($this->reached($at)) {
            return Verdict::pass('reached', 'Target reached', 'Close the valve now: the hold counts from '
                .'this reading.');
        }
        $short = Gauge::targetKpa($at) - $read;
        $title = "Short by {$at->say($short, Unit::InchOfMercury)}";
        $absolute = Gauge::air($at)->pressure->kPa() - $read;
        $vapour = $at->facts()->coolant()->vapourPressure(Temperature::celsius(self::WARM_C))->kPa();

        return $absolute < VacuumPlan::VAPOUR_MARGIN * $vapour && $short < self::VAPOUR_SHORT_KPA
            ? Verdict::wait(
                'vapour',
                $title,
                'If the circuit is warm or wet its own vapour holds the needle here: let it cool, then pull again.',
            )
            : Verdict::wait('short', $title, 'Adapter not seated, a drain open, or weak air: look there first.');
    }

    /** As it was read last, below the air, kPa. */
    private static function read(Situation $at): ?float
    {
        return $at->latest(NeedleRead::class)?->kPa(Gauge::air($at));
    }

    private function reached(Situation $at): bool
    {
        $read = self::read($at);

        return $read !== null && $read >= Gauge::targetKpa($at) - Gauge::resolution($at)->kPa();
    }
}
