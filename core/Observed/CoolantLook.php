<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Grave;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** What the drained coolant looked like, and where it goes. */
final readonly class CoolantLook extends Report implements Grave
{
    public const FORM = 'seen';

    public const CLEAN = 'clean';

    public const OILY = 'oily';

    public const GEL = 'gel';

    private const COOLANT = 'coolant';

    public const NEXT = 'next';

    private const REUSE = 'reuse';

    /** What is neither of them is dirt, and a rinse takes that out. */
    private const GRAVITY = [self::CLEAN => 0, self::GEL => 2, self::OILY => 3];

    private const OF_DIRT = 1;

    private function __construct(Told $told, public string $code, public bool $goesBackIn)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [self::FORM];
    }

    public static function of(Entry $line): ?static
    {
        return $line->form !== self::FORM || ! $line->values->has(self::COOLANT)
            ? null
            : new self(Told::by($line), $line->text(self::COOLANT), $line->text(self::NEXT) === self::REUSE);
    }

    public static function asked(): Form
    {
        $looks = [
            self::CLEAN => 'Clean',
            'rusty' => 'Rusty or cloudy',
            self::OILY => 'Oily film',
            self::GEL => 'Gel or sludge',
            'debris' => 'With debris',
        ];

        return new Form(self::FORM, 'Record what it looks like', [
            Field::answer(self::COOLANT, 'The coolant is', $looks),
            Field::choice(
                self::NEXT,
                'It goes',
                ['waste' => 'Into the waste drum', self::REUSE => 'Back in: nearly new, caught in a clean vessel'],
                'waste',
            ),
        ]);
    }

    public function gravity(): int
    {
        return self::GRAVITY[$this->code] ?? self::OF_DIRT;
    }

    /** Whether values that are not written yet say that coolant goes back in that is not clean. */
    public static function putsDirtBack(Values $values): bool
    {
        return self::putsBack($values) && $values->text(self::COOLANT) !== self::CLEAN;
    }

    public static function putsBack(Values $values): bool
    {
        return $values->text(self::NEXT) === self::REUSE;
    }
}
