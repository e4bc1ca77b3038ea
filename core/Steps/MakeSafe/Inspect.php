<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\MakeSafe;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 1: hoses, clamps, cap, fins, tank and old drips, before they are disturbed. A finding adds a part, a step, a wait or a note. */
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
            'Squeeze the hoses: firm, no bulge at the clamps, no cracks. Paint-mark hose and clamp where they will be reused: a clamp put back elsewhere leaks.',
            'Cap: seal whole, spring attached'.($at->facts()->capKpa === null ? '.' : ', rating '.$at->say($at->facts()->capKpa, Dimension::Pressure).'.'),
            'Photograph where it is wet underneath: the picture comes back in the leak check.',
        ];
    }

    public function forms(Situation $at): array
    {
        return [new Form('condition', 'Record condition', [
            Field::choice('hoses', 'Hoses', ['good' => 'Good', 'watch' => 'Ageing: watch', 'replace' => 'Replace one'], 'good'),
            Field::choice('clamps', 'Clamps', ['marked' => 'Good, marked', 'replace' => 'Replace'], 'marked'),
            Field::choice('cap', 'Cap', ['good' => 'Good', 'worn' => 'Seal or spring gone', 'rating' => 'Wrong rating'], 'good'),
            Field::choice('fins', 'Radiator fins', ['clear' => 'Clear', 'clogged' => 'Clogged'], 'clear'),
            Field::choice('tank', 'Tank', ['readable' => 'Level can be read', 'dirty' => 'Too dirty to read'], 'readable'),
            Field::choice('pipes', 'Metal pipes', ['sound' => 'Sound', 'rusty' => 'Rusty: watch', 'weeping' => 'Weeping: mend'], 'sound'),
            Field::text('drips', 'Old drips, seen where'),
            Field::text('watch', 'Watch at the next visit'),
        ])];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('condition') ? [] : [Obstacle::missing('Record what hoses, clamps and cap look like.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        $found = $at->last('condition');
        if ($found === null) {
            return null;
        }
        $todo = $this->toPutRight($at, $found);
        $watch = self::watchNotes($found);
        $later = $watch === [] ? '' : ' Kept for the next visit: '.implode('; ', $watch).'.';

        return $todo === []
            ? Verdict::pass('Sound', 'Nothing to replace before the drain.'.$later)
            : Verdict::wait('Parts to add', ucfirst(implode('; ', array_map(lcfirst(...), $todo))).'. A step for it is added; fitting is on the close-up list.'.$later);
    }

    public function orders(Situation $at): array
    {
        $found = $at->last('condition');
        $todo = $found === null ? [] : $this->toPutRight($at, $found);

        return $todo === [] ? [] : [new Step('put_right', 'put_right', Stage::MakeSafe, ['items' => $todo])];
    }

    /**
     * What is fitted at the close-up because of what was found.
     *
     * @return array<string, string>
     */
    public static function toFit(Entry $found): array
    {
        return array_filter([
            'new_hose' => $found->text('hoses') === 'replace' ? 'New hose fitted' : null,
            'new_clamps' => $found->text('clamps') === 'replace' ? 'New clamps fitted' : null,
            'new_cap' => in_array($found->text('cap'), ['worn', 'rating'], true) ? 'New cap fitted' : null,
        ]);
    }

    /** @return list<string> what the next visit should look at */
    public static function watchNotes(Entry $found): array
    {
        return array_values(array_filter([
            $found->text('hoses') === 'watch' ? 'hoses ageing' : null,
            $found->text('pipes') === 'rusty' ? 'metal pipes rusty' : null,
            $found->text('watch') === '' ? null : $found->text('watch'),
        ]));
    }

    /** @return array<string, string> */
    private function toPutRight(Situation $at, Entry $found): array
    {
        $rating = $at->facts()->capKpa === null ? '' : ', rated '.$at->say($at->facts()->capKpa, Dimension::Pressure);

        return array_filter([
            'hose' => $found->text('hoses') === 'replace' ? 'New hose at hand' : null,
            'clamps' => $found->text('clamps') === 'replace' ? 'New clamps at hand' : null,
            'cap' => in_array($found->text('cap'), ['worn', 'rating'], true) ? "New cap at hand{$rating}" : null,
            'fins' => $found->text('fins') === 'clogged' ? 'Radiator fins blown or washed clean, from the engine side out' : null,
            'tank' => $found->text('tank') === 'dirty' ? 'Tank cleaned until the level can be read' : null,
            'pipes' => $found->text('pipes') === 'weeping' ? 'Weeping pipe mended or replaced' : null,
        ]);
    }
}
