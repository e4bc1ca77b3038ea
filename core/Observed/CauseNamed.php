<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Grave;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Why a run had to be stopped, or that it was looked for and not found. */
final readonly class CauseNamed extends Report implements Grave
{
    private const FORM = 'cause';

    private const CAUSE = 'cause';

    private const HOW = 'how';

    private const GAS = 'gas';

    private const NOT_FOUND = 'not_found';

    private const CAUSES = [
        'air' => 'Air pocket, or low level',
        'thermostat' => 'Thermostat',
        'fan' => 'Fan or its switch',
        'pump' => 'Pump or drive belt',
        'sensor' => 'Sensor or its wiring',
        'drip' => 'A leak',
        self::GAS => 'Combustion gas in the coolant',
        'other' => 'Something else',
        self::NOT_FOUND => 'Looked for, not found',
    ];

    private function __construct(Told $told, private string $cause)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->text(self::CAUSE)) : null;
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'Record cause', [
            Field::choice(self::CAUSE, 'It was', self::CAUSES),
            Field::text(self::HOW, 'What was seen or done'),
        ]);
    }

    public function wasFound(): bool
    {
        return $this->cause !== self::NOT_FOUND;
    }

    public function isGas(): bool
    {
        return $this->cause === self::GAS;
    }

    public function gravity(): int
    {
        return $this->isGas() ? 1 : 0;
    }

    public function label(): string
    {
        return self::CAUSES[$this->cause] ?? $this->cause;
    }
}
