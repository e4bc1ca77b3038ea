<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\MakeSafe;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\AllSound;
use Aqbel\Core\Observed\ConditionSeen;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Stage 1: hoses, clamps, cap, fins, tank and old drips, before they are disturbed. A finding adds a part, a step, a
 * wait or a note.
 */
final class Inspect extends StepKind
{
    private const WATCH = ['hoses_ageing' => 'hoses ageing', 'pipes_rusty' => 'metal pipes rusty'];

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
        return 'A weak hose or a worn cap found now is a part on the list; found later it is a second job. Old '
            .'drips noted now are not taken for new leaks.';
    }

    public function instructions(Situation $at): array
    {
        $rating = $at->facts()->capKpa;

        return [
            'Squeeze the hoses: firm, no bulge at the clamps, no cracks. Paint-mark hose and clamp where they will '
                .'be reused:'
                .' a clamp put back elsewhere leaks.',
            $rating === null
                ? 'Cap: seal whole, spring attached.'
                : "Cap: seal whole, spring attached, rating {$at->say($rating, Dimension::Pressure)}.",
            'Photograph where it is wet underneath: the picture comes back in the leak check.',
        ];
    }

    public function asks(Situation $at): array
    {
        return [AllSound::asked(), ConditionSeen::asked($at->circuit())];
    }

    public function observes(): array
    {
        return [ConditionSeen::class, AllSound::class];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form === ConditionSeen::asked($at->circuit())->name) {
            ConditionSeen::admit($values);
        }
    }

    public function atOnce(Situation $at): Form
    {
        return AllSound::asked();
    }

    public function obstacles(Situation $at): array
    {
        return $at->observed(ConditionSeen::class) !== [] || $at->observed(AllSound::class) !== []
            ? []
            : [Obstacle::missing('no_condition', 'Record what hoses, clamps and cap look like.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        if ($this->obstacles($at) !== []) {
            return null;
        }
        $todo = array_map(fn (string $item) => PutRight::sayItem($at, $item), self::toPutRight($at));
        $watch = array_map($this->sayWatch(...), $this->watch($at));
        $later = $watch === [] ? '' : ' Kept for the next visit: '.implode('; ', $watch).'.';

        return $todo === []
            ? Verdict::pass('sound', 'Sound', 'Nothing to replace before the drain.'.$later)
            : Verdict::wait('parts_to_add', 'Parts to add',
                ucfirst(
                    implode('; ', array_map(lcfirst(...), $todo)),
                ).'. A step for it is added; fitting is on the close-up list.'.$later);
    }

    public function orders(Situation $at): array
    {
        $todo = self::toPutRight($at);

        return $todo === []
            ? []
            : [new Step('put_right', 'put_right', Stage::MakeSafe, new Values(['items' => $todo]))];
    }

    public function watch(Situation $at): array
    {
        return self::ofAll($at, fn (ConditionSeen $seen) => $seen->toWatch());
    }

    public function sayWatch(string $code): string
    {
        return self::WATCH[$code] ?? $code;
    }

    /** @return list<string> codes of what has to be at hand or done before the circuit is opened */
    private static function toPutRight(Situation $at): array
    {
        return self::ofAll($at, fn (ConditionSeen $seen) => $seen->toPutRight());
    }

    /**
     * What several looks say together: one that names another part, or finds one good, takes none away.
     *
     * @param  \Closure(ConditionSeen): list<string>  $told
     * @return list<string> each once
     */
    private static function ofAll(Situation $at, \Closure $told): array
    {
        return array_values(array_unique(array_merge(...array_map($told, $at->observed(ConditionSeen::class)), ...[[]])));
    }
}
