<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\HoldLength;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** How long this vacuum is held: one of the house’s lengths, or one’s own. */
final readonly class HoldLengthSet extends Report
{
    private const FORM = 'school';

    private const LENGTH = 'length';

    private const OWN = 'minutes';

    private const LONGEST_S = 7200.0;

    /** @param  ?float  $ownSeconds  where neither of the house’s was taken */
    private function __construct(Told $told, public ?HoldLength $length, public ?float $ownSeconds)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), HoldLength::tryFrom($line->text(self::LENGTH)), $line->number(self::OWN))
            : null;
    }

    public static function asked(HouseRules $rules, HoldLength $likely): Form
    {
        return new Form(self::FORM, 'Set length', [
            Field::choice(self::LENGTH, 'Length of the test', [
                HoldLength::Glance->value => "A short look, {$rules->glanceMinutes} min",
                HoldLength::Real->value => "Real test, {$rules->holdMinutes} min",
            ], $likely->value)->optional(),
            Field::duration(self::OWN, 'Or so long', Unit::Minute, self::LONGEST_S)->optional(),
        ], false);
    }
}
