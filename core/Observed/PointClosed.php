<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A drain or a bleed point was closed, with its washer, by feel or by its torque. */
final readonly class PointClosed extends Report
{
    public const FORM = 'closed';

    private const TORQUED = 'torqued';

    private const TO_TORQUE = '1';

    private function __construct(Told $told, public bool $torqued)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), $line->ticked(self::TORQUED) || $line->text(self::TORQUED) === self::TO_TORQUE)
            : null;
    }

    public static function byFeel(string $button, bool $main): Form
    {
        return new Form(self::FORM, $button, [], $main, closes: true);
    }

    /** @param  string  $torque  it is closed to, in the reader's units, with whatever is fitted to it */
    public static function asked(string $button, string $torque, bool $main): Form
    {
        $answers = [self::TO_TORQUE => "Closed to {$torque}", '0' => 'Closed, torque not checked'];

        return new Form(
            self::FORM,
            $button,
            [Field::answer(self::TORQUED, 'It is', $answers)->optional()],
            $main,
            closes: true,
        );
    }
}
