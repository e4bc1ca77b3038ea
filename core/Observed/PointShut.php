<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A point that still stood open was shut, at whatever step somebody saw it. */
final readonly class PointShut extends Report
{
    private const PORT = 'port';

    private const HOW = 'how';

    private function __construct(Told $told, public string $port)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [Lines::Shut->value];
    }

    public static function of(Entry $line): ?static
    {
        return $line->is(Lines::Shut) ? new self(Told::by($line), $line->text(self::PORT)) : null;
    }

    /** @param  array<string, string>  $points  that may be shut, by id of the port */
    public static function asked(array $points): Form
    {
        return new Form(Lines::Shut->value, 'It is shut now', [
            Field::answer(self::PORT, 'Shut', $points),
            Field::answer(self::HOW, 'It is', ['torque' => 'Closed to its torque', 'feel' => 'Closed by feel'])->optional(),
        ]);
    }
}
