<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Grave;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Where coolant was seen to leave the circuit, or what was tested when none was. */
final readonly class DripSeen extends Report implements Grave
{
    private const FORM = 'drip';

    private const PLACE = 'place';

    private const NONE = 'none';

    private const WHERE = 'where';

    private const GAS = 'gas';

    private const FOUND = 'gas';

    private const UNDONE = 'undone';

    /** What is mended where gas was found. */
    public const GAS_GETS_IN = 'the way of the combustion gas into the coolant';

    private const PLACES = [
        self::NONE => 'None seen',
        'cap' => 'Cap or neck',
        'hose' => 'Hose or clamp',
        'pump' => 'Pump',
        'radiator' => 'Radiator',
        'heater' => 'Heater, wet carpet',
        'plug' => 'Plug or cock',
        'gasket' => 'Gasket',
    ];

    private const GASES = [self::UNDONE => 'Not tested', 'clear' => 'None', self::FOUND => 'Gas in the coolant'];

    /**
     * @param  ?string  $place  the part, in words; null when none was seen
     * @param  string  $where  as it was typed
     * @param  bool  $gas  combustion gas was found in the coolant
     * @param  bool  $tested  whether anybody tested for it
     */
    private function __construct(
        Told $told,
        public ?string $place,
        public string $where,
        public bool $gas,
        public bool $tested,
    ) {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $place = $line->text(self::PLACE);

        return $line->form !== self::FORM ? null : new self(
            Told::by($line),
            $place === self::NONE ? null : mb_strtolower(self::PLACES[$place] ?? $place),
            $line->text(self::WHERE),
            $line->text(self::GAS) === self::FOUND,
            $line->text(self::GAS) !== self::UNDONE,
        );
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'Record what was seen', [
            Field::choice(self::PLACE, 'Drip', self::PLACES),
            Field::text(self::WHERE, 'Where exactly'),
            Field::choice(self::GAS, 'Combustion gas', self::GASES, self::UNDONE),
        ]);
    }

    public function gravity(): int
    {
        return $this->gas ? 1 : 0;
    }
}
