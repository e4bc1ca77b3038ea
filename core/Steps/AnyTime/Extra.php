<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** Ordered by a finding: it is put right, and said how. */
final class Extra extends StepKind
{
    public function name(): string
    {
        return 'extra';
    }

    public function title(Situation $at): string
    {
        return 'Put right: '.self::what($at);
    }

    public function why(Situation $at): string
    {
        return 'It was found on the way, and must not be forgotten over the rest.';
    }

    public function instructions(Situation $at): array
    {
        return ['Put it right, and say how. What comes out meanwhile is written down as coolant that came out.'];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        return $at->has('done') ? [] : $this->ever($at);
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [new Form('done', 'It is put right', [
            Field::text('how', 'How')->optional(), Field::text('part', 'Part fitted')->optional(),
        ], closes: true)];
    }

    public function atOnce(Situation $at): ?Form
    {
        return $this->forms($at)[0] ?? null;
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('done') ? [] : [Obstacle::missing('not_put_right', 'Not put right yet: '.self::what($at).'.')];
    }

    /** What was found, and where. */
    public static function what(Situation $at): string
    {
        return Finding::where($at->circuit(), $at->step->params->text('part')).$at->step->params->text('what');
    }
}
