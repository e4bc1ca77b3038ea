<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\MixComesTo;
use Aqbel\Core\Judged\MixtureRead;
use Aqbel\Core\Judged\MixtureReadCode;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\FreezePointRead;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\FrostGate;
use Aqbel\Core\Steps\StepKind;

/** Stage 10: the freeze point of what is in it, against the plan. */
final class Refractometer extends StepKind
{
    public function name(): string
    {
        return 'refractometer';
    }

    protected function doing(): array
    {
        return [Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Measure the mixture';
    }

    public function why(Situation $at): string
    {
        return 'The ledger says '.$at->say(
            $at->job->ledger()->fraction() ?? 0.0,
            Unit::Percent,
        ).'; the refractometer knows.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'A drop from the neck, coolant mixed by the drive. Read '
                .'the scale for '.mb_strtolower($at->facts()->base->label()).'.',
        ];
    }

    public function observes(): array
    {
        return [FreezePointRead::class];
    }

    public function asks(Situation $at): array
    {
        return [FreezePointRead::asked()];
    }

    public function judgement(Situation $at): ?MixtureRead
    {
        return MixtureRead::of($at);
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    public function obstacles(Situation $at): array
    {
        return match ($this->judgement($at)?->code) {
            null => [Obstacle::missing('no_reading', 'Record the freeze point.')],
            MixtureReadCode::Contradicts => [
                Obstacle::at(
                    Gate::Sums,
                    'contradicts',
                    'The refractometer and what was poured cannot both be '
                        .'right: read it again, or correct what was mixed.',
                ),
            ],
            default => array_filter([FrostGate::obstacle($at)]),
        };
    }

    public function figure(Situation $at): Figure
    {
        $wanted = new Mixture($at->facts()->base, MixComesTo::target($at->job));

        return new Figure(
            'Freezes at',
            $at->latest(FreezePointRead::class)?->celsius,
            Dimension::Temperature,
            Origin::Measured,
            $wanted->freezePoint()->degC(),
            'planned',
        );
    }

    public function judge(Situation $at): ?Verdict
    {
        $mixture = $this->judgement($at);
        if ($mixture === null) {
            return null;
        }
        [$read, $planned] = [$at->say($mixture->fraction, Unit::Percent), $at->say($mixture->target, Unit::Percent)];
        $next = $mixture->fraction < $mixture->target ? 'concentrate' : 'water';

        return match ($mixture->code) {
            MixtureReadCode::AsPlanned => Verdict::pass($mixture->code(), 'As planned', "{$read}, planned {$planned}."),
            MixtureReadCode::OffPlan => Verdict::wait(
                $mixture->code(),
                'Off the plan',
                "{$read} instead of {$planned}. Make the next top-up {$next}.",
            ),
            MixtureReadCode::Beyond => Verdict::wait(
                $mixture->code(),
                'Beyond the scale',
                "Colder than any mixture that is told: {$read} or more, and more carries less heat. "
                    ."Planned {$planned}. Read it again, or thin it with water.",
            ),
            MixtureReadCode::Contradicts => Verdict::stop(
                $mixture->code(),
                'Both cannot be',
                "It reads as {$read}, and by what was poured "
                    ."{$at->say((float) $mixture->ledger, Unit::Percent)} is inside: "
                    .'read it again, or correct what was mixed or found.',
            ),
        };
    }
}
