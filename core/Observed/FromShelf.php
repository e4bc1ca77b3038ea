<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** Mixed coolant off the shelf, at the strength its label told at that moment. */
final readonly class FromShelf extends Report
{
    public const FORM = 'shelf';

    private const CONTAINER = 'container';

    private const VOLUME = 'volume';

    private const FRACTION = 'fraction';

    private function __construct(Told $told, public string $container, public float $ml, public float $fraction)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form !== self::FORM ? null : new self(
            Told::by($line),
            $line->text(self::CONTAINER),
            (float) $line->number(self::VOLUME),
            (float) $line->number(self::FRACTION),
        );
    }

    /** @param  array<string, string>  $containers  label by id */
    public static function asked(array $containers, float $mostMl): Form
    {
        return new Form(self::FORM, 'Use mixed coolant from the shelf', [
            Field::choice(self::CONTAINER, 'Container', $containers, (string) array_key_first($containers)),
            Field::volume(self::VOLUME, 'Taken', $mostMl),
        ], false);
    }

    public static function containerIn(Values $values): string
    {
        return $values->text(self::CONTAINER);
    }

    public static function asStrongAs(Values $values, float $fraction): Values
    {
        return $values->with(self::FRACTION, $fraction);
    }

    /**
     * @param  ?float  $mostMl  what the container can give; null where nobody knows
     * @param  string  $there  what it holds, in words
     *
     * @throws InvalidField where more is taken than is there
     */
    public static function admit(Values $values, ?float $mostMl, string $there): void
    {
        if ($mostMl !== null && (float) $values->number(self::VOLUME) > $mostMl) {
            throw new InvalidField(self::VOLUME, self::tooMuch($there));
        }
    }

    public static function tooMuch(string $there): string
    {
        return "That container holds only {$there}. Record what came out of it, then the rest from another; "
            .'where more is in it, count it under Stores first.';
    }
}
