<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A drain point is open and flows; at the first one the cap may still be on. */
final readonly class DrainOpened extends Report
{
    private const FORM = 'opened';

    private const CAP = 'cap';

    private const ON = 'on';

    private function __construct(Told $told, public bool $capOn)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->text(self::CAP) === self::ON) : null;
    }

    public static function asked(bool $isFirst): Form
    {
        $cap = Field::choice(
            self::CAP,
            'Cap',
            ['off' => 'Off: drains fast', self::ON => 'On: holds it back while a hose comes off'],
            'off',
        );

        return new Form(self::FORM, 'It is open and flowing', $isFirst ? [$cap] : []);
    }
}
