<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 2, ordered by an oily drain: where the oil gets in. Flushing without it only cleans the next fill's way to the same film. */
final class FindCause extends StepKind
{
    private const CAUSES = ['oil_cooler' => 'Oil cooler', 'gearbox_cooler' => 'Gearbox oil cooler', 'head_gasket' => 'Head gasket', 'spilt' => 'Oil spilt into the neck', 'unknown' => 'Not found yet'];

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
        return 'Oil softens hoses and coats the radiator. Until its way in is mended, every new fill goes the same way.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Oil cooler first: it is the likeliest, and stands under more oil pressure than the coolant has.',
            'Then the gearbox cooler in the radiator, then the head gasket: combustion-gas test, compression, milky oil.',
            'Ask whether somebody has poured oil into the wrong neck.',
        ];
    }

    public function forms(Situation $at): array
    {
        return [new Form('cause', 'Record cause', [Field::choice('cause', 'It is', self::CAUSES, 'unknown'), Field::text('how', 'How it was shown')])];
    }

    public function obstacles(Situation $at): array
    {
        return match ($at->last('cause')?->text('cause')) {
            null => [Obstacle::missing('Record where the oil comes from.')],
            'unknown' => [Obstacle::missing('The cause is not found. Go on only with a reason: the oil comes back.')],
            default => [],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        $cause = $at->last('cause')?->text('cause');

        return match ($cause) {
            null => null,
            'unknown' => Verdict::stop('Not found', 'A flush without the cause lasts until the next warm-up.'),
            'spilt' => Verdict::pass('Spilt from outside', 'Flush until no film is left.'),
            default => Verdict::pass('Found: '.mb_strtolower(self::CAUSES[$cause]), 'Mending it is on the close-up list; flush before any new coolant.'),
        };
    }

    /** @return array<string, string> what the close-up must show mended */
    public static function toMend(Entry $cause): array
    {
        return in_array($cause->text('cause'), ['unknown', 'spilt'], true) ? [] : ['oil' => 'Mended: '.mb_strtolower(self::CAUSES[$cause->text('cause')])];
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 30.0;
    }
}
