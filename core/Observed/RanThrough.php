<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** Water from a hose that ran through the circuit and out again; nobody measures it. */
final readonly class RanThrough extends Report
{
    private const FORM = 'through';

    private const ABOUT = 'volume';

    private const RUNS = 'runs';

    /** As much as a garden hose gives while somebody looks on, mL (common practice, no source). */
    private const HOSE_ML = 500_000.0;

    /**
     * @param  ?float  $aboutMl  null where nobody said
     * @param  ?Runs  $runs  null where nobody said
     */
    private function __construct(Told $told, public ?float $aboutMl, public ?Runs $runs)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [self::FORM];
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), $line->number(self::ABOUT), Runs::tryFrom($line->text(self::RUNS)))
            : null;
    }

    /** @throws InvalidField where it runs, and nothing ran */
    public static function admit(Values $values): void
    {
        if ($values->number(self::ABOUT) === 0.0) {
            throw new InvalidField(
                self::ABOUT,
                'Nothing went through? Leave this empty where nobody counted, and let it run.',
            );
        }
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'It ran through and out', [
            Field::volume(self::ABOUT, 'About so much', self::HOSE_ML)->optional(),
            Field::answer(self::RUNS, 'It runs', Runs::choices()),
        ]);
    }
}
