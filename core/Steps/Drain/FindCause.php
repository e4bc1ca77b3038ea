<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\OilCause;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/**
 * Stage 2, ordered by an oily drain: where the oil gets in. Flushing without it only cleans the next fill's way to
 * the same film.
 */
final class FindCause extends StepKind
{
    public function name(): string
    {
        return 'find_cause';
    }

    public function title(Situation $at): string
    {
        return 'Where does the oil come from?';
    }

    public function why(Situation $at): string
    {
        return 'Oil softens hoses and coats the radiator. Until its way in is mended, every new fill goes '
            .'the same way.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Oil cooler first: it is the likeliest, and stands under more oil pressure than the coolant has.',
            'Then the gearbox cooler in the radiator, then the head gasket: combustion-gas test, compression, milky '
                .'oil.',
            'Ask whether somebody has poured oil into the wrong neck.',
        ];
    }

    public function asks(Situation $at): array
    {
        return [OilCause::asked()];
    }

    public function observes(): array
    {
        return [OilCause::class];
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            $at->observed(OilCause::class) === [] => [Obstacle::missing('no_cause', 'Record where the oil comes from.')],
            $this->found($at) === [] => [
                Obstacle::missing('not_found', 'The cause is not found. Go on only with a reason: the oil comes back.'),
            ],
            default => [],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        $found = $this->found($at);
        $mend = OilCause::toMend($found);

        return match (true) {
            $at->observed(OilCause::class) === [] => null,
            $found === [] => Verdict::stop(
                'not_found',
                'Not found',
                'A flush without the cause lasts until the next warm-up.',
            ),
            $mend === [] => Verdict::pass('spilt', 'Spilt from outside', 'Flush until no film is left.'),
            default => Verdict::pass(
                'found',
                'Found: '.implode(', ', $mend),
                (count($mend) > 1 ? 'Mending them' : 'Mending it').' is on the close-up list; flush before any new coolant.',
            ),
        };
    }

    /** @return list<OilCause> every one that was named: a second one does not mend the first */
    private function found(Situation $at): array
    {
        return array_values(array_filter($at->observed(OilCause::class), fn (OilCause $cause) => $cause->wasFound()));
    }
}
