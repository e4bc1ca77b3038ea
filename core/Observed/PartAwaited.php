<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A part that had to be ordered, and when it comes. */
final readonly class PartAwaited extends Report
{
    private const FORM = 'waiting';

    private const PART = 'part';

    private const UNTIL = 'until';

    /** A part may take weeks. */
    public const LONGEST_S = 3600.0 * 24 * 30;

    private function __construct(Told $told, private string $part, private int $seconds)
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
            ? new self(Told::by($line), $line->text(self::PART), (int) $line->number(self::UNTIL))
            : null;
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'Wait for a part', [
            Field::text(self::PART, 'Which', true),
            Field::duration(self::UNTIL, 'It comes in', Unit::Hour, self::LONGEST_S),
        ], false);
    }

    public function clock(): Clock
    {
        return new Clock("Part ordered: {$this->part}", $this->at(), $this->at() + $this->seconds, true);
    }
}
