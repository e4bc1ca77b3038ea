<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Every joint was looked at when the work was done: dry, wet only where it was before, or a drip that is new. */
final readonly class LeakSeen extends Report
{
    private const FORM = 'seen';

    private const LEAK = 'leak';

    private const NEW_DRIP = 'drip';

    private const LOOKS = ['dry' => 'Dry', 'old' => 'Wet only where it was', self::NEW_DRIP => 'A new drip'];

    private function __construct(Told $told, public bool $isNew)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), $line->text(self::LEAK) === self::NEW_DRIP)
            : null;
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'Record', [
            Field::answer(self::LEAK, 'Underneath it is', self::LOOKS),
            Field::text('where', 'Where'),
        ]);
    }
}
