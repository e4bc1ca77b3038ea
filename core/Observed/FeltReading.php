<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A running engine without a live reading: the needle of the dash, hose and heater air by hand. */
final readonly class FeltReading extends Report
{
    private const FORM = 'felt';

    private const NEEDLE = 'needle';

    private const HOSE = 'hose';

    /** The hand at the first outlet; at any other it is named. */
    private const HEATER = 'heater';

    /** @param  array<string, Warmth>  $outlets  those a hand was held to, by outlet; the first under '' */
    private function __construct(
        Told $told,
        public ?Needle $needle,
        public ?Warmth $hose,
        private array $outlets,
        public WhileItRuns $besides,
    ) {
        parent::__construct($told);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function forms(): array
    {
        return [self::FORM];
    }

    public static function of(Entry $line): ?static
    {
        if ($line->form !== self::FORM) {
            return null;
        }
        $needle = Needle::tryFrom($line->text(self::NEEDLE));
        $hose = Warmth::tryFrom($line->text(self::HOSE));
        $outlets = [];
        foreach (array_keys($line->values->toArray()) as $key) {
            $felt = str_starts_with($key, self::HEATER) ? Warmth::tryFrom($line->text($key)) : null;
            $outlets += $felt === null ? [] : [ltrim(substr($key, strlen(self::HEATER)), '_') => $felt];
        }

        return $needle === null && $hose === null && $outlets === []
            ? null
            : new self(Told::by($line), $needle, $hose, $outlets, WhileItRuns::of($line));
    }

    /** @param  list<?Field>  $besides  what is told with a reading too */
    public static function asked(Facts $facts, array $besides): Form
    {
        $outlets = [];
        foreach ($facts->outlets as $i => $outlet) {
            $where = count($facts->outlets) > 1 ? ", {$outlet}" : '';
            $field = Field::choice(
                self::HEATER.($i === 0 ? '' : "_{$outlet}"),
                "Heater air by hand{$where}",
                Warmth::choices(),
            );
            $outlets[] = $i === 0 ? $field : $field->optional();
        }

        return new Form(self::FORM, 'No live reading: needle and hand', [
            Field::choice(self::NEEDLE, 'Needle', Needle::choices()),
            Field::choice(self::HOSE, "By hand: {$facts->thermostatFarSide}", Warmth::choices()),
            ...$outlets,
            ...$besides,
        ], false);
    }

    /** Without outlets and bubbles: on water that only has to go round. */
    public static function askedOnWater(Facts $facts): Form
    {
        return new Form(self::FORM, 'No live reading: needle and hand', [
            Field::choice(self::NEEDLE, 'Needle', Needle::choices()),
            Field::choice(self::HOSE, "By hand: {$facts->thermostatFarSide}", Warmth::choices()),
            WhileItRuns::signField(),
        ], false);
    }

    /** How one outlet felt; null where no hand was held to it. */
    public function outlet(Facts $facts, string $outlet): ?Warmth
    {
        return $this->outlets[$outlet === ($facts->outlets[0] ?? null) ? '' : $outlet] ?? null;
    }

    /** Whether any outlet that was felt was cold. */
    public function feltAColdOutlet(): bool
    {
        return in_array(Warmth::Cold, $this->outlets, true);
    }

    /** As hot as a needle tells: where a fan may come on. */
    public function isWarmedUp(): bool
    {
        return $this->needle !== Needle::Low;
    }
}
