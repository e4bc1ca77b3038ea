<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** A drive, or a run under load of what does not drive: how long or how far, how hot at the most, and any alarm. */
final readonly class Driven extends Report
{
    private const FORM = 'driven';

    public const MINUTES = 'minutes';

    private const DISTANCE = 'distance';

    /** Under this the way was told until 0.19, in kilometres. */
    private const KM = 'km';

    private const HOTTEST = 'ect';

    private const NEEDLE = 'needle';

    private const BY_HAND = 'by_hand';

    private const ALARM = 'alarm';

    private const LONGEST_S = 36_000.0;

    private const FARTHEST_KM = 1_000.0;

    private const MM_PER_KM = 1.0e6;

    private const LEAST_C = 0.0;

    private const MOST_C = 150.0;

    /** A needle is no longer low, and not yet in the middle, °C (common practice, no source). */
    private const LEAVES_LOW_C = 75.0;

    private const MIDDLE_C = 55.0;

    private const DANGER_C = 100.0;

    /**
     * @param  ?float  $seconds  null where the way was told instead
     * @param  ?float  $hottestC  by a reading; null where only the needle was watched
     * @param  bool  $byHand  on what has no needle: hot by hand when it was back
     */
    private function __construct(
        Told $told,
        public ?float $seconds,
        public ?float $km,
        public ?float $hottestC,
        public ?Needle $needle,
        public bool $byHand,
        public Alarm $alarm,
    ) {
        parent::__construct($told);
    }

    /** As instruments showed it until then: nobody said that it was driven to its end. */
    public static function streamed(float $seconds, float $hottestC): Values
    {
        return new Values([self::MINUTES => $seconds, self::HOTTEST => $hottestC, self::ALARM => Alarm::None->value]);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function of(Entry $line): ?static
    {
        return $line->form !== self::FORM ? null : new self(
            Told::by($line),
            $line->number(self::MINUTES),
            self::km($line),
            $line->number(self::HOTTEST),
            Needle::tryFrom($line->text(self::NEEDLE)),
            $line->text(self::NEEDLE) === self::BY_HAND,
            Alarm::tryFrom($line->text(self::ALARM)) ?? Alarm::None,
        );
    }

    private static function km(Entry $line): ?float
    {
        $mm = $line->number(self::DISTANCE);

        return $mm === null ? $line->number(self::KM) : $mm / self::MM_PER_KM;
    }

    /** @param  bool  $stationary  it runs under load instead */
    public static function asked(bool $stationary): Form
    {
        return self::with($stationary, $stationary ? [] : [self::way()]);
    }

    /** With what it asked for before. */
    public static function ever(bool $stationary): Form
    {
        return self::with($stationary, $stationary ? [] : [
            self::way(),
            Field::number(self::KM, 'Or so many kilometres', 0.0, self::FARTHEST_KM)->optional(),
        ]);
    }

    public static function asItIsAskedNow(string $form, array $values): array
    {
        $km = $form === self::FORM ? $values[self::KM] ?? null : null;

        return is_numeric($km) ? [...array_diff_key($values, [self::KM => 0]), self::DISTANCE => "{$km} km"] : $values;
    }

    private static function way(): Field
    {
        return Field::length(self::DISTANCE, 'Or so far', 0.0, self::FARTHEST_KM * self::MM_PER_KM, false)
            ->in(Unit::Kilometre);
    }

    /** @param  list<Field>  $ways  how far it was driven */
    private static function with(bool $stationary, array $ways): Form
    {
        return new Form(self::FORM, $stationary ? 'Record the run under load' : 'Record drive', [
            Field::duration(
                self::MINUTES,
                $stationary ? 'Under load for' : 'Driven for',
                Unit::Minute,
                self::LONGEST_S,
            )->usuallySaid(),
            ...$ways,
            Field::temperature(self::HOTTEST, 'Highest coolant', false, self::LEAST_C, self::MOST_C)->usuallySaid(),
            Field::choice(
                self::NEEDLE,
                'No reading: the needle stood',
                Needle::choices() + [self::BY_HAND => 'No needle: hot by hand'],
            )->optional(),
            Field::choice(self::ALARM, 'Alarm', Alarm::choices(), Alarm::None->value),
        ]);
    }

    /** @throws InvalidField where nothing says how long, or how hot */
    public static function admit(Values $values): void
    {
        $told = array_map(fn (string $field): ?float => $values->number($field), [self::MINUTES, self::DISTANCE, self::KM]);
        if (array_filter($told, is_float(...)) === []) {
            throw new InvalidField(self::MINUTES, 'Enter how long it was driven, or how far.');
        }
        $alarmed = ! in_array($values->text(self::ALARM), ['', Alarm::None->value], true);
        if (! $alarmed && $values->number(self::HOTTEST) === null && $values->text(self::NEEDLE) === '') {
            throw new InvalidField(
                self::HOTTEST,
                'Enter the highest coolant temperature, where the needle stood, or that it was hot by hand.',
            );
        }
        if (self::contradict($values->number(self::HOTTEST), Needle::tryFrom($values->text(self::NEEDLE)))) {
            throw new InvalidField(self::NEEDLE, 'The needle and the highest coolant temperature do not go together. '
                .'Leave the one that was only guessed.');
        }
    }

    /** What is past boiling is believed, whatever a needle shows: it is a danger first. */
    private static function contradict(?float $hottestC, ?Needle $needle): bool
    {
        return $hottestC !== null && match ($needle) {
            Needle::Low => $hottestC >= self::LEAVES_LOW_C && $hottestC < self::DANGER_C,
            Needle::Middle => $hottestC < self::MIDDLE_C,
            default => false,
        };
    }
}
