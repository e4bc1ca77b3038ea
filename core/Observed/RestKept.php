<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** What is left of what was mixed: onto the shelf, to the customer, or where it went. */
final readonly class RestKept extends Report
{
    public const FORM = 'kept';

    public const SHELF = 'volume';

    public const CUSTOMER = 'customer';

    /** Where the rest went, or whence there is more. */
    public const REST = 'rest';

    private function __construct(Told $told, public float $shelfMl, public float $customerMl)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), ...self::litres($line->values)) : null;
    }

    /** @return array{float, float} mL onto the shelf, and to the customer */
    public static function litres(Values $values): array
    {
        return [(float) $values->number(self::SHELF), (float) $values->number(self::CUSTOMER)];
    }

    public static function asked(float $leftMl, float $mostMl): Form
    {
        return new Form(self::FORM, 'Record what is kept', [
            Field::volume(self::SHELF, 'Onto the shelf', $mostMl)->preset($leftMl),
            Field::volume(self::CUSTOMER, 'To the customer', $mostMl, false),
            Field::text(self::REST, 'The rest went'),
        ]);
    }
}
