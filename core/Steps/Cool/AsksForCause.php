<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\CauseNamed;
use Aqbel\Core\Observed\DripSeen;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** A search for what no run changes: its cause is named, or that it was looked for and not found. Never passed over. */
abstract class AsksForCause extends StepKind
{
    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function observes(): array
    {
        return [CauseNamed::class];
    }

    public function asks(Situation $at): array
    {
        return [CauseNamed::asked()];
    }

    public function obstacles(Situation $at): array
    {
        return self::named($at) !== null
            ? []
            : [Obstacle::never('no_cause', 'Record the cause, or that it was looked for and not found.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        $named = self::named($at);

        return match (true) {
            $named === null => null,
            $named->isGas() => Verdict::stop(
                'gas',
                'Combustion gas',
                'The head gasket or a crack lets gas into the coolant. No run and no bleeding cures that: it is '
                    .'mended next, before it runs again.',
            ),
            $named->wasFound() => Verdict::pass(
                'found',
                'Found: '.mb_strtolower($named->label()),
                'The next run shows whether it was all.',
            ),
            default => $this->notFound($at),
        };
    }

    abstract protected function notFound(Situation $at): Verdict;

    /** Gas that was named once stands, whatever was named after it. */
    protected static function named(Situation $at): ?CauseNamed
    {
        return $at->gravest(CauseNamed::class);
    }

    protected static function wasNotFound(Situation $at): bool
    {
        return self::named($at)?->wasFound() === false;
    }

    public function orders(Situation $at): array
    {
        $what = new Values(['what' => DripSeen::GAS_GETS_IN]);

        return self::named($at)?->isGas() === true
            ? [new Step("extra:{$at->step->id}", 'extra', $at->step->stage, $what)]
            : [];
    }
}
