<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Observed\CoolantLook;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 2: what the drained coolant tells. */
final class Look extends StepKind
{
    public function name(): string
    {
        return 'look';
    }

    public function title(Situation $at): string
    {
        return 'Look at what came out';
    }

    public function why(Situation $at): string
    {
        return 'Rust asks for a rinse, an oily film for its cause, gel means two coolants that must never meet again.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Let it stand a minute in a clean vessel against the light. Film on top, sludge below, colour of rust?',
            'Colour alone tells neither base nor inhibitor family.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Waste];
    }

    public function asks(Situation $at): array
    {
        return [CoolantLook::asked()];
    }

    public function observes(): array
    {
        return [CoolantLook::class];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $fit = ! CoolantLook::putsDirtBack($values) && Plan::of($at)->choices->content === Compatibility::AsManual;
        if ($form === CoolantLook::FORM && CoolantLook::putsBack($values) && ! $fit) {
            throw new InvalidField(
                CoolantLook::NEXT,
                'Only clean coolant of the family the manual names goes back in. This one is waste.',
            );
        }
    }

    public function orders(Situation $at): array
    {
        return $at->gravest(CoolantLook::class)?->code === CoolantLook::OILY
            ? [new Step('find_cause', 'find_cause', Stage::Drain)]
            : [];
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    /** Dirt asks for a rinse, and that is the next step. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || $this->verdict($at)?->code === 'dirty';
    }

    public function obstacles(Situation $at): array
    {
        return $at->latest(CoolantLook::class) !== null
            ? []
            : [Obstacle::missing('not_looked', 'Record what the coolant looks like.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        $seen = $at->gravest(CoolantLook::class);

        return match ($seen?->code) {
            null => null,
            CoolantLook::CLEAN => $seen->goesBackIn
                ? Verdict::pass(
                    'goes_back_in',
                    'Clean, goes back in',
                    'Cover it, keep it clean. The mixture takes it into account.',
                )
                : Verdict::pass('clean', 'Clean', 'No rinse needed for its sake.'),
            CoolantLook::OILY => Verdict::stop('oily', 'Oil in the coolant',
                'Find the cause first: oil cooler or head gasket. The plan is now flush and cause-finding; no new '
                    .'coolant before both.'),
            CoolantLook::GEL => Verdict::stop(
                'gel',
                'Two coolants met',
                'Rinse until it runs clear, and fill with the family the manual names.',
            ),
            default => Verdict::wait('dirty', 'Dirty', 'Rinse until it runs clear.'),
        };
    }
}
