<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** What hoses, clamps, cap, fins, tank and pipes looked like before the work, where not all of it was good. */
final readonly class ConditionSeen extends Report
{
    private const FORM = 'condition';

    private const HOSES = 'hoses';

    private const CLAMPS = 'clamps';

    private const CAP = 'cap';

    private const FINS = 'fins';

    private const TANK = 'tank';

    private const PIPES = 'pipes';

    private const DRIPS = 'drips';

    private const WATCH = 'watch';

    /** @param  string  $oldDrips  where it was wet before the work, as it was typed */
    private function __construct(Told $told, private Values $seen, public string $oldDrips)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->values, $line->text(self::DRIPS)) : null;
    }

    public static function asked(Circuit $circuit): Form
    {
        return new Form(
            self::FORM,
            'Record what is not',
            [
                Field::choice(self::HOSES, 'Hoses', [
                    'good' => 'Good',
                    'watch' => 'Ageing: watch',
                    'replace' => 'Replace one',
                ])->optional(),
                Field::choice(self::CLAMPS, 'Clamps', ['marked' => 'Good, marked', 'replace' => 'Replace'])->optional(),
                Field::choice(self::CAP, 'Cap', [
                    'good' => 'Good',
                    'worn' => 'Seal or spring gone',
                    'rating' => 'Wrong rating',
                ])->optional(),
                Field::choice(self::FINS, 'Radiator fins', ['clear' => 'Clear', 'clogged' => 'Clogged'])->optional(),
                ! $circuit->hasTank()
                    ? null
                    : Field::choice(self::TANK, 'Tank', [
                        'readable' => 'Level can be read',
                        'dirty' => 'Too dirty to read',
                    ])->optional(),
                Field::choice(self::PIPES, 'Metal pipes', [
                    'sound' => 'Sound',
                    'rusty' => 'Rusty: watch',
                    'weeping' => 'Weeping: mend',
                ])->optional(),
                Field::text(self::DRIPS, 'Old drips, seen where'),
                Field::text(self::WATCH, 'Watch at the next visit'),
            ],
            false,
        );
    }

    /** @throws InvalidField where nothing was said */
    public static function admit(Values $values): void
    {
        if (array_filter($values->toArray(), fn (mixed $value) => $value !== null && $value !== '') === []) {
            throw new InvalidField(self::HOSES, 'Say what is not as it should be, or press “All of it is good”.');
        }
    }

    /** @return list<string> codes of what has to be at hand or done before the circuit is opened */
    public function toPutRight(): array
    {
        return array_values(array_filter([
            $this->needsHose() ? 'hose' : null,
            $this->needsClamps() ? 'clamps' : null,
            $this->needsCap() ? 'cap' : null,
            $this->seen->text(self::FINS) === 'clogged' ? 'fins' : null,
            $this->seen->text(self::TANK) === 'dirty' ? 'tank' : null,
            $this->seen->text(self::PIPES) === 'weeping' ? 'pipes' : null,
        ]));
    }

    /** @return list<string> codes of what ages, and what was typed to be watched */
    public function toWatch(): array
    {
        return array_values(array_filter([
            $this->seen->text(self::HOSES) === 'watch' ? 'hoses_ageing' : null,
            $this->seen->text(self::PIPES) === 'rusty' ? 'pipes_rusty' : null,
            $this->seen->text(self::WATCH) === '' ? null : $this->seen->text(self::WATCH),
        ]));
    }

    public function needsHose(): bool
    {
        return $this->seen->text(self::HOSES) === 'replace';
    }

    public function needsClamps(): bool
    {
        return $this->seen->text(self::CLAMPS) === 'replace';
    }

    public function needsCap(): bool
    {
        return in_array($this->seen->text(self::CAP), ['worn', 'rating'], true);
    }
}
