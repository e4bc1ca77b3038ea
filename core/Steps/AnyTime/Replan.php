<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Another way of filling, or another mixture, from here on: what was done stays, and counts. */
final class Replan extends AnyTime
{
    public const SCHOOL = 'school';

    public const TARGET = 'target';

    public const ELEVATION = 'elevation';

    public const SHELTER = 'shelter';

    /** Up to which line of the plan whoever chooses has seen it. */
    public const SEEN = 'seen';

    public const SAID = 'said';

    public const WHY = 'why';

    public function name(): string
    {
        return Lines::Replan->value;
    }

    public function title(Situation $at): string
    {
        return 'Another way from here';
    }

    public function why(Situation $at): string
    {
        return 'What was done stays, and counts. The rest is planned anew.';
    }

    protected function asked(Situation $at): Form
    {
        return new Form($this->name(), 'Go on this way', [
            Field::text(self::SAID, 'Goes on'), Field::text(self::WHY, 'Why'),
        ], false);
    }
}
