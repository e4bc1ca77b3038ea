<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\InFunnel;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Judged\WarmedUp;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\FunnelTakenOff;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Opening;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Stage 9: the funnel that stayed on while it ran comes off. What the circuit drew from it is inside; what is left
 * goes where it goes.
 */
final class FunnelOff extends StepKind
{
    /** What stands in a funnel is read against its own marks, if it has any, mL (common practice, no source). */
    private const UNSURE_ML = 50.0;

    public function name(): string
    {
        return 'funnel_off';
    }

    protected function doing(): array
    {
        return [Does::OpensNeck, Does::MovesCoolant, Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Funnel off';
    }

    public function why(Situation $at): string
    {
        return 'While it cools the circuit draws from the funnel what its air and its warmth gave back. Taken off '
            .'cold, it has had all of it.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Cold by default. Read what stands in it, stopper in, lift it off.',
            'Hot only with gloves and glasses: squeeze the upper hose and hold it, stopper in, let go, lift.',
            'What is left goes into the recovery bottle or a labelled container. Then the cap.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function observes(): array
    {
        return [FunnelTakenOff::class, CoolantRead::class];
    }

    public function asks(Situation $at): array
    {
        $coolant = CoolantRead::field(knownC: NeckHeat::readJustNow($at));
        $off = FunnelTakenOff::asked($at, match (true) {
            NeckHeat::wasColdUnread($at, $at->now) => null,
            self::wentByHand($at) => $coolant->usuallySaid(),
            default => $coolant,
        });

        return Form::offering(self::off($at) === null ? [$off] : [], [
            FunnelTakenOff::asked($at, CoolantRead::field()->usuallySaid()),
        ]);
    }

    /** Nobody who went by needle and hand has a thermometer now. */
    private static function wentByHand(Situation $at): bool
    {
        $run = WarmedUp::before($at);

        return $run !== null && $at->seenFrom($run)->observed(HotReading::class) === [];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $coolant = $values->number(CoolantRead::COOLANT);
        $coolant === null || Opening::admit($at, CoolantRead::COOLANT, $coolant);
        $most = InFunnel::stoodMl($at->job);
        if ((float) $values->number(VesselReading::VOLUME) > $most + self::UNSURE_ML) {
            throw new InvalidField(
                VesselReading::VOLUME,
                "No more than {$at->litres($most)} was ever in it. Read it again, or "
                    .'correct what stood in it after the pour.',
            );
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $off = FunnelTakenOff::of($entry);

        return $off === null ? [] : [new Line(
            'Drawn from the funnel',
            (InFunnel::leftMl($at->job) ?? 0.0) - $off->leftMl,
            self::UNSURE_ML,
            Bucket::fraction($at),
            fromBatch: true,
        )];
    }

    public function obstacles(Situation $at): array
    {
        return self::off($at) !== null ? [] : [Obstacle::never('funnel_on', 'The funnel is on. Take it off, and say '
            .'what was left in it.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        $off = self::off($at);

        return $off === null
            ? null
            : Verdict::pass(
                'funnel_off',
                'Off',
                InFunnel::leftMl($at->job) === null
                    ? 'What stood in it after the pour was not read: '
                        .'the sums and the level at the mark tell what went in.'
                    : "{$at->litres(InFunnel::stoodMl($at->job) - $off->leftMl)} went from it into the circuit. "
                        .'The level at the mark tells the rest.',
            );
    }

    private static function off(Situation $at): ?FunnelTakenOff
    {
        return $at->latest(FunnelTakenOff::class);
    }
}
