<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Water from a hose that ran through the circuit and out again; nobody measures it. */
final readonly class RanThrough extends Report
{
    private const FORM = 'through';

    private const ABOUT = 'volume';

    public const RUNS = 'runs';

    /** As much as a garden hose gives while somebody looks on, mL (common practice, no source). */
    private const HOSE_ML = 500_000.0;

    /** @param  ?float  $aboutMl  null where nobody said */
    private function __construct(Told $told, public ?float $aboutMl, public string $runs)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->number(self::ABOUT), $line->text(self::RUNS)) : null;
    }

    /** @param  array<string, string>  $runs  how it may run out */
    public static function asked(array $runs): Form
    {
        return new Form(self::FORM, 'It ran through and out', [
            Field::volume(self::ABOUT, 'About so much', self::HOSE_ML)->optional(),
            Field::answer(self::RUNS, 'It runs', $runs),
        ]);
    }
}
