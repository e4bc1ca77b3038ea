<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence\Steps;

use Aqbel\Core\Judgement\Judgement;
use Aqbel\Core\Run\Entry;
use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\Field;
use Aqbel\Core\Sequence\Form;
use Aqbel\Core\Sequence\Obstacle;
use Aqbel\Core\Sequence\PlanInput;
use Aqbel\Core\Sequence\Step;
use Aqbel\Core\Sequence\StepKind;

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

    public function judge(Situation $at): ?Judgement
    {
        $cause = $at->last('cause')?->text('cause');

        return match ($cause) {
            null => null,
            'unknown' => Judgement::stop('Not found', 'A flush without the cause lasts until the next warm-up.'),
            'spilt' => Judgement::pass('Spilt from outside', 'Flush until no film is left.'),
            default => Judgement::pass('Found: '.mb_strtolower(self::CAUSES[$cause]), 'Mending it is on the close-up list; flush before any new coolant.'),
        };
    }

    /** @return array<string, string> what the close-up must show mended */
    public static function toMend(Entry $cause): array
    {
        return in_array($cause->text('cause'), ['unknown', 'spilt'], true) ? [] : ['oil' => 'Mended: '.mb_strtolower(self::CAUSES[$cause->text('cause')])];
    }

    public function handsOnMinutes(Step $step, PlanInput $input): float
    {
        return 30.0;
    }
}
