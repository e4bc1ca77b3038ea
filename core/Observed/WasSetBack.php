<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** What was set up for the work was set back, at whatever step somebody saw it. */
final readonly class WasSetBack extends Report
{
    private const WHAT = 'what';

    private function __construct(Told $told, public SetUp $what)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [Lines::SetBack->value];
    }

    public static function of(Entry $line): ?static
    {
        $what = $line->is(Lines::SetBack) ? SetUp::tryFrom($line->text(self::WHAT)) : null;

        return $what === null ? null : new self(Told::by($line), $what);
    }

    /** @param  list<SetUp>  $which  may be set back */
    public static function asked(array $which): Form
    {
        $answers = [];
        foreach ($which as $what) {
            $answers[$what->value] = match ($what) {
                SetUp::NoseUp => 'It stands on level ground',
                SetUp::UnderPressure => 'The pressure is off',
                SetUp::JointOff => 'It is back on',
            };
        }

        return new Form(Lines::SetBack->value, 'It is set back', [Field::answer(self::WHAT, 'Now', $answers)]);
    }
}
