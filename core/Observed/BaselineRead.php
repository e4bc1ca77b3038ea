<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** How the engine ran before the work: where it settled, when its fan came, what its heater gave. */
final readonly class BaselineRead extends Report
{
    private const FORM = 'baseline';

    private const RAN = 'ran';

    private const NOT_RUN = 'no';

    private const PLATEAU = 'plateau';

    /** Colder no running engine settles, however far open its thermostat stands, °C (common practice, no source). */
    private const SETTLED_C = 20.0;

    private const MOST_C = 150.0;

    private const FAN_ON = 'fan_on';

    private const FAN_OFF = 'fan_off';

    private const RUNS = [
        self::NOT_RUN => 'Not run: unsafe or not possible',
        'outdoors' => 'Run outdoors',
        'extraction' => 'Run on extraction',
    ];

    /** @param  array<string, ?float>  $outletsC  by outlet */
    private function __construct(
        Told $told,
        public bool $ran,
        public ?float $plateauC,
        public ?float $fanOnC,
        public ?float $fanOffC,
        public array $outletsC,
    ) {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        if ($line->form !== self::FORM) {
            return null;
        }
        $outlets = [];
        foreach (array_keys($line->values->toArray()) as $key) {
            if (str_starts_with((string) $key, HotReading::outletKey(''))) {
                $outlets[substr((string) $key, strlen(HotReading::outletKey('')))] = $line->number((string) $key);
            }
        }

        return new self(
            Told::by($line),
            $line->text(self::RAN) !== self::NOT_RUN,
            $line->number(self::PLATEAU),
            $line->number(self::FAN_ON),
            $line->number(self::FAN_OFF),
            $outlets,
        );
    }

    /** Whether it tells of an engine that was warm, whatever is said of where it ran. */
    public function isOfARun(): bool
    {
        $read = [$this->plateauC, $this->fanOnC, $this->fanOffC, ...array_values($this->outletsC)];

        return array_filter($read, is_float(...)) !== [];
    }

    /** @throws InvalidField where it was not run, by what stood there, and was read all the same */
    public static function admit(Situation $at, string $form, Values $values): void
    {
        $read = self::of(new Entry(0, $at->now, '', $at->step->id, $form, $values));
        if ($read !== null && ! $read->ran && $read->isOfARun()) {
            throw new InvalidField(
                self::RAN,
                'These are readings of an engine that runs: choose where it ran, or leave them empty.',
            );
        }
    }

    public static function asked(Facts $facts): Form
    {
        return new Form(self::FORM, 'Record baseline', [
            Field::choice(self::RAN, 'Engine', self::RUNS, self::NOT_RUN),
            Field::temperature(self::PLATEAU, 'Temperature settled at', false, self::SETTLED_C, self::MOST_C),
            ...$facts->fanOnC === null
                ? []
                : [
                    Field::temperature(self::FAN_ON, 'Fan came on at', false, self::SETTLED_C, self::MOST_C),
                    Field::temperature(self::FAN_OFF, 'Fan went off at', false, self::SETTLED_C, self::MOST_C),
                ],
            OutsideAir::baselineField(),
            ...array_map(
                fn (string $outlet) => Field::temperature(
                    HotReading::outletKey($outlet),
                    "Outlet air, {$outlet}",
                    false,
                ),
                $facts->outlets,
            ),
        ]);
    }
}
