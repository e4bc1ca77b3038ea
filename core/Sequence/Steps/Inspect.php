<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence\Steps;

use Aqbel\Core\Judgement\Judgement;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\Field;
use Aqbel\Core\Sequence\Form;
use Aqbel\Core\Sequence\Obstacle;
use Aqbel\Core\Sequence\StepKind;

/** Stage 1: hoses, clamps, cap and old drips, before they are disturbed. */
final class Inspect extends StepKind
{
    public function name(): string
    {
        return 'inspect';
    }

    public function title(Situation $at): string
    {
        return 'Look it over';
    }

    public function why(Situation $at): string
    {
        return 'A weak hose or a worn cap found now is a part on the list; found later it is a second job. Old drips noted now are not taken for new leaks.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Squeeze the hoses: firm, no bulge at the clamps, no cracks. Paint-mark hose and clamp where they will be reused.',
            'Cap: seal whole, spring attached'.($at->facts()->capKpa === null ? '.' : ', rating '.$at->say($at->facts()->capKpa, Dimension::Pressure).'.'),
            'Note where it is wet underneath.',
        ];
    }

    public function forms(Situation $at): array
    {
        return [new Form('condition', 'Record condition', [
            Field::choice('hoses', 'Hoses and clamps', ['good' => 'Good, marked', 'replace' => 'One to replace'], 'good'),
            Field::choice('cap', 'Cap', ['good' => 'Good', 'worn' => 'Worn: replace'], 'good'),
            Field::text('drips', 'Old drips, seen where'),
        ])];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('condition') ? [] : [Obstacle::missing('Record what hoses, clamps and cap look like.')];
    }

    public function judge(Situation $at): ?Judgement
    {
        $found = $at->last('condition');
        if ($found === null) {
            return null;
        }
        $parts = array_keys(array_filter(['a hose' => $found->text('hoses') === 'replace', 'the cap' => $found->text('cap') === 'worn']));

        return $parts === []
            ? Judgement::pass('Sound', 'Nothing to replace before the drain.')
            : Judgement::wait('Parts to add', 'Get '.implode(' and ', $parts).' now; fitting it is on the close-up list.');
    }
}
