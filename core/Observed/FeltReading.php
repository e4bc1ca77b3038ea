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

/** A running engine without a live reading: the needle of the dash, hose and heater air by hand. */
final readonly class FeltReading extends Report
{
    private const FORM = 'felt';

    private const BUTTON = 'No live reading: needle and hand';

    private const NEEDLE = 'needle';

    /** What has no gauge. */
    private const NO_NEEDLE = 'none';

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

    /**
     * @param  list<self>  $before  what was felt of this machine before: what has no needle is not asked for it again
     * @param  list<?Field>  $besides  what is told with a reading too
     */
    public static function asked(Facts $facts, array $before, array $besides): Form
    {
        $outlets = [];
        foreach ($facts->outlets as $i => $outlet) {
            $where = count($facts->outlets) > 1 ? ", {$outlet}" : '';
            $field = Field::choice(
                self::HEATER.($i === 0 ? '' : "_{$outlet}"),
                "Heater air by hand{$where}",
                Warmth::choices(),
            );
            $outlets[] = $i === 0 ? $field->usuallySaid() : $field->optional();
        }

        $fields = [...self::needleAndHose($facts, $before), ...$outlets, ...$besides];

        return new Form(self::FORM, self::BUTTON, $fields, false);
    }

    /**
     * Without outlets and bubbles: on water that only has to go round.
     *
     * @param  list<self>  $before
     */
    public static function askedOnWater(Facts $facts, array $before): Form
    {
        $fields = [...self::needleAndHose($facts, $before), WhileItRuns::signField()];

        return new Form(self::FORM, self::BUTTON, $fields, false);
    }

    /**
     * @param  list<self>  $before
     * @return list<Field> what no hand was held to is told by nobody
     */
    private static function needleAndHose(Facts $facts, array $before): array
    {
        $needle = Field::choice(self::NEEDLE, 'Needle', Needle::choices() + [self::NO_NEEDLE => 'None here']);
        $isKnown = $before !== [] && array_filter($before, fn (self $felt) => $felt->needle !== null) === [];

        return [
            $isKnown ? $needle->begin(self::NO_NEEDLE) : $needle,
            Field::choice(self::HOSE, "By hand: {$facts->thermostatFarSide}", Warmth::choices())->usuallySaid(),
        ];
    }

    /** @throws InvalidField where nothing was looked at, nor felt */
    public static function admit(Situation $at, string $form, Values $values): void
    {
        if ($form === self::FORM && self::of(new Entry(0, $at->now, '', $at->step->id, $form, $values)) === null) {
            throw new InvalidField(self::HOSE, 'Without a needle only a hand tells: say how warm it feels.');
        }
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

    /** As hot as a needle tells, or a hose where there is none: where a fan may come on. */
    public function isWarmedUp(): bool
    {
        return $this->needle === null ? $this->hose === Warmth::Hot : $this->needle !== Needle::Low;
    }
}
