<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** What the customer complained of, tried again in the same way. */
final readonly class ComplaintTried extends Report
{
    private const FORM = 'answer';

    private const ANSWER = 'answer';

    private const GONE = 'gone';

    private const STILL = 'still';

    private const ANSWERS = [self::GONE => 'Gone', 'better' => 'Better, watch it', self::STILL => 'Still there'];

    private function __construct(Told $told, public bool $gone, public bool $still)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $answer = $line->text(self::ANSWER);

        return $line->form === self::FORM
            ? new self(Told::by($line), $answer === self::GONE, $answer === self::STILL)
            : null;
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'Record', [
            Field::answer(self::ANSWER, 'The complaint is', self::ANSWERS),
            Field::text('how', 'How it was tried'),
        ]);
    }
}
