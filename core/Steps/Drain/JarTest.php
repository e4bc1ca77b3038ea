<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\JarLook;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 2, where nobody knows what is in it: a little of both coolants in a jar, before they meet in the engine. */
final class JarTest extends StepKind
{
    public function name(): string
    {
        return 'jar_test';
    }

    public function title(Situation $at): string
    {
        return 'Jar test';
    }

    public function why(Situation $at): string
    {
        return 'Colour proves nothing. What sets to gel in a jar would set in '
            .($at->circuit()->hasHeater() ? 'the heater core.' : 'the narrowest passage.');
    }

    public function instructions(Situation $at): array
    {
        return [
            'Half a cup of the old and half a cup of the new in a clean jar. Shake, let it stand.',
            'Gel, flakes or sludge: these two must never meet. Clear: they do not set, but the inhibitors may still '
                .'use each other up.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol];
    }

    public function asks(Situation $at): array
    {
        return [JarLook::asked()];
    }

    public function observes(): array
    {
        return [JarLook::class];
    }

    public function obstacles(Situation $at): array
    {
        return $at->latest(JarLook::class) !== null ? [] : [Obstacle::missing('no_jar', 'Record what the jar shows.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        return match ($at->gravest(JarLook::class)?->code) {
            null => null,
            JarLook::CLEAR => Verdict::pass(
                'clear',
                'They do not set',
                'Rinse all the same: the old inhibitor is not known.',
            ),
            JarLook::CLOUDY => Verdict::wait('cloudy', 'They do not like each other', 'Rinse until it runs clear.'),
            default => Verdict::stop('gel', 'Never together', 'Rinse until next to nothing of the old one is left.'),
        };
    }
}
